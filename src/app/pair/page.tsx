import { useTranslations } from 'next-intl'
import { titled } from '@/i18n/titled'
import { PairForm } from '@/ui/pairing/PairForm'
import { TrustSteps } from '@/ui/pairing/TrustSteps'
import { trustAddress } from '@/services/pairing'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('access.pair.title')

/** What a device sees that nobody has let in yet. */
export default function PairPage() {
  const t = useTranslations()

  const trust = trustAddress()
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('access.pair.title')}</h1>
          <p className="lead-text">{t('access.pair.lead')}</p>
        </div>
      </header>
      <PairForm />
      {trust && (
        <section className="mt-5" aria-labelledby="trust">
          <div className="section-head">
            <h2 id="trust">{t('access.pair.warned')}</h2>
          </div>
          <p>{t.rich('access.pair.certificate', { link: (words) => <a href={trust}>{words}</a> })}</p>
          <TrustSteps />
        </section>
      )}
    </>
  )
}
