import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { Link } from '@/ui/Link'

export const generateMetadata = titled('rules.glossary.title')

const words = [
  'job', 'visit', 'plan', 'pass', 'preRinse', 'application', 'dwell', 'rinseBy', 'finalCheck', 'protectionCheck', 'likelyRange',
  'estimate', 'starter', 'method', 'verdicts', 'clogged', 'wears', 'zones', 'bondedDust', 'runOff',
] as const // prettier-ignore

/** What the words of the app mean. */
export default async function GlossaryPage() {
  const t = await getTranslations()

  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('rules.glossary.title')}</h1>
          <p className="lead-text">{t('rules.glossary.lead')}</p>
        </div>
        <Link href="/rules" className="btn btn-outline-secondary">
          {t('rules.glossary.back')}
        </Link>
      </header>
      <dl className="glossary">
        {words.map((word) => (
          <div key={word} className="row-item">
            <dt>{t(`rules.glossary.words.${word}.word`)}</dt>
            <dd>{t(`rules.glossary.words.${word}.meaning`)}</dd>
          </div>
        ))}
      </dl>
    </>
  )
}
