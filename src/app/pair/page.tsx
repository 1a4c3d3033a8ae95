import type { Metadata } from 'next'
import { PairForm } from '@/ui/pairing/PairForm'
import { TrustSteps } from '@/ui/pairing/TrustSteps'
import { trustAddress } from '@/services/pairing/network'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Pair this device' }

/** What a device sees that nobody has let in yet. */
export default function PairPage() {
  const trust = trustAddress()
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Pair this device</h1>
          <p className="lead-text">
            At the desk: Settings, Phones and tablets, Pair a device. The code is good for five minutes.
          </p>
        </div>
      </header>
      <PairForm />
      {trust && (
        <section className="mt-5" aria-labelledby="trust">
          <div className="section-head">
            <h2 id="trust">It warned you?</h2>
          </div>
          <p>
            Then it does not know the shop’s own certificate yet. <a href={trust}>Get it</a>, once; compare
            its print with the one at the desk. Without it the bay cannot work when the network is gone.
          </p>
          <TrustSteps />
        </section>
      )}
    </>
  )
}
