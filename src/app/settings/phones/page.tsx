import { getFormats } from '@/i18n/getFormats'
import { getTranslations } from 'next-intl/server'
import { bold } from '@/i18n/rich'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { Link } from '@/ui/Link'
import { database } from '@/services/records'
import {
  canOpenNetwork,
  listPairedDevices,
  networkAddresses,
  networkState,
  readDesk,
  trustAddress,
} from '@/services/pairing'
import { ActionButton } from '@/ui/form/ActionButton'
import { PairingPanel } from '@/ui/pairing/PairingPanel'
import { PassphraseForm } from '@/ui/pairing/PassphraseForm'
import { TrustSteps } from '@/ui/pairing/TrustSteps'
import { qrOf } from '../../qrOf'
import { changePassphrase, allowNetwork, newPairingCode, revokeDevice } from './actions'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('access.phones.title')

export default async function PhonesPage() {
  const formats = await getFormats()
  const t = await getTranslations()

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
          <h1>{t('access.phones.title')}</h1>
          <p className="lead-text">
            {address ? t('access.phones.open') : t('access.phones.closed')}{' '}
            <Link href="/settings">{t('settings.title')}</Link>
          </p>
        </div>
        {canOpenNetwork() && (
          <ActionButton
            action={allowNetwork.bind(null, !address)}
            className={address ? 'btn btn-outline-secondary' : 'btn btn-primary'}
          >
            {address ? t('access.phones.block') : t('access.phones.allow')}
          </ActionButton>
        )}
      </header>
      <div className="phones">
        <div>
          {address && trust && state && (
            <>
              <section aria-labelledby="pair">
                <div className="section-head">
                  <h2 id="pair">{t('access.pairing.title')}</h2>
                </div>
                <PairingPanel begin={newPairingCode} />
                {otherAddresses.length > 0 && (
                  <p className="soft mt-3">
                    {t('access.phones.otherAddresses', {
                      addresses: new Intl.ListFormat('en', { type: 'disjunction' }).format(otherAddresses),
                    })}
                  </p>
                )}
              </section>
              <section className="mt-5" aria-labelledby="trust">
                <div className="section-head">
                  <h2 id="trust">{t('access.trust.title')}</h2>
                </div>
                <div className="trust-at">
                  <div
                    className="pair-qr"
                    role="img"
                    aria-label={t('access.trust.code', { address: trust })}
                    dangerouslySetInnerHTML={{ __html: await qrOf(trust) }}
                  />
                  <p>
                    {t.rich('access.trust.open', {
                      b: bold,
                      address: trust,
                      fingerprint: state.print,
                      code: (words) => <code className="trust-print">{words}</code>,
                    })}
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
              <h2 id="devices">{t('access.devices.title')}</h2>
              <span className="count">{devices.filter(({ revokedAt }) => revokedAt === null).length}</span>
            </div>
            {devices.length === 0 && <p className="py-2">{t('access.devices.none')}</p>}
            <ul className="rows">
              {devices.map(({ id, name, role, lastSeenAt, revokedAt }) => (
                <li key={id} className="row-item stock-row">
                  <span>
                    <b>{name}</b>, {t(`access.roles.${role}.name`)}
                    <br />
                    <span className="soft">
                      {revokedAt
                        ? t('access.devices.revoked')
                        : lastSeenAt
                          ? t('access.devices.seen', {
                              ago: formats.ago(lastSeenAt, now),
                            })
                          : t('access.devices.notSeen')}
                    </span>
                  </span>
                  {!revokedAt && (
                    <ActionButton
                      action={revokeDevice.bind(null, id)}
                      className="btn btn-quiet"
                      label={t('access.devices.revokeDevice', { device: name })}
                    >
                      {t('access.devices.revoke')}
                    </ActionButton>
                  )}
                </li>
              ))}
            </ul>
          </section>
          <section className="mt-5" aria-labelledby="desk">
            <div className="section-head">
              <h2 id="desk">{t('access.desk')}</h2>
            </div>
            <PassphraseForm isSet={desk.passphraseHash !== null} change={changePassphrase} />
          </section>
        </div>
      </div>
    </>
  )
}
