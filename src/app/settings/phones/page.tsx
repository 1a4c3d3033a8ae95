import { currentTime } from '@/clock'
import { formatDistance } from 'date-fns'
import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { database } from '@/data/connection'
import { readDesk } from '@/data/queries/desk'
import { listPairedDevices } from '@/data/queries/pairedDevices'
import { roleNames } from '@/gate/roles'
import { canOpenNetwork, networkAddresses, networkState, trustAddress } from '@/services/pairing/network'
import { ActionButton } from '@/ui/form/ActionButton'
import { PairingPanel } from '@/ui/pairing/PairingPanel'
import { PassphraseForm } from '@/ui/pairing/PassphraseForm'
import { TrustSteps } from '@/ui/pairing/TrustSteps'
import { qrOf } from '../../qrOf'
import { changePassphrase, letNetworkIn, newPairingCode, putOut } from './actions'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Phones and tablets' }

export default async function PhonesPage() {
  const db = await database()
  const [devices, desk] = await Promise.all([listPairedDevices(db), readDesk(db)])
  const state = networkState()
  const [address, ...otherAddresses] = networkAddresses()
  const trust = trustAddress()
  const now = currentTime()
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Phones and tablets</h1>
          <p className="lead-text">
            {address
              ? 'The shop’s network reaches this program, over TLS; a device comes in only with a code from here.'
              : 'Nothing but this machine reaches the program now.'}{' '}
            <Link href="/settings">Settings</Link>
          </p>
        </div>
        {canOpenNetwork() && (
          <ActionButton
            action={letNetworkIn.bind(null, !address)}
            className={address ? 'btn btn-outline-secondary' : 'btn btn-primary'}
          >
            {address ? 'Shut the network out' : 'Let the shop’s network in'}
          </ActionButton>
        )}
      </header>
      <div className="phones">
        <div>
          {address && trust && state && (
            <>
              <section aria-labelledby="pair">
                <div className="section-head">
                  <h2 id="pair">Pair a device</h2>
                </div>
                <PairingPanel begin={newPairingCode} />
                {otherAddresses.length > 0 && (
                  <p className="soft mt-3">
                    A phone on another network of this machine opens{' '}
                    {new Intl.ListFormat('en', { type: 'disjunction' }).format(otherAddresses)}.
                  </p>
                )}
              </section>
              <section className="mt-5" aria-labelledby="trust">
                <div className="section-head">
                  <h2 id="trust">Once for each phone: trust the shop</h2>
                </div>
                <div className="trust-at">
                  <div
                    className="pair-qr"
                    role="img"
                    aria-label={`Code that opens ${trust}`}
                    dangerouslySetInnerHTML={{ __html: await qrOf(trust) }}
                  />
                  <p>
                    Opens <b>{trust}</b>, where the phone gets the certificate. Its print:
                    <code className="trust-print">{state.print}</code>
                  </p>
                </div>
                <TrustSteps />
              </section>
            </>
          )}
        </div>
        <div>
          <section aria-labelledby="devices">
            <div className="section-head">
              <h2 id="devices">Devices</h2>
              <span className="count">{devices.filter(({ revokedAt }) => revokedAt === null).length}</span>
            </div>
            {devices.length === 0 && <p className="py-2">None yet.</p>}
            <ul className="rows">
              {devices.map(({ id, name, role, lastSeenAt, revokedAt }) => (
                <li key={id} className="row-item stock-row">
                  <span>
                    <b>{name}</b>, {roleNames[role].toLowerCase()}
                    <br />
                    <span className="soft">
                      {revokedAt
                        ? 'put out'
                        : lastSeenAt
                          ? `seen ${formatDistance(lastSeenAt, now, { addSuffix: true })}`
                          : 'not seen yet'}
                    </span>
                  </span>
                  {!revokedAt && (
                    <ActionButton
                      action={putOut.bind(null, id)}
                      className="btn btn-quiet"
                      label={`Put ${name} out`}
                    >
                      Put out
                    </ActionButton>
                  )}
                </li>
              ))}
            </ul>
          </section>
          <section className="mt-5" aria-labelledby="desk">
            <div className="section-head">
              <h2 id="desk">This desk</h2>
            </div>
            <PassphraseForm isSet={desk.passphraseHash !== null} change={changePassphrase} />
          </section>
        </div>
      </div>
    </>
  )
}
