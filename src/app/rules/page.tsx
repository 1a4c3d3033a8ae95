import type { Translator } from '@/i18n/translator'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { CircleSlash, TriangleAlert } from 'lucide-react'
import { schoolTexts, type SchoolSetting } from '@/core/schools/schools'
import { ruleSubjects } from '@/core/rules/book'
import { ruleWords } from '@/core/rules/ruleWords'
import { verdictNames } from '@/core/rules/rule'
import { SearchLine } from '@/ui/SearchLine'

export const generateMetadata = titled('rules.title')

/** A shop setting as a rule names it. */
const methodText = ({ name, value }: SchoolSetting, t: Translator): string => {
  const { question, choices } = schoolTexts[name]
  const chosen = choices.find((choice) => choice.value === value)
  return t('rules.method', { question, choice: chosen?.text ?? String(value) })
}

const icons = { withCare: TriangleAlert, no: CircleSlash }

export default async function RulesPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const t = await getTranslations()

  const { q } = await searchParams
  const search = (typeof q === 'string' ? q : '').slice(0, 100)
  const words = search.toLowerCase().split(/\s+/).filter(Boolean)
  const subjects = ruleSubjects
    .map(({ name, rules }) => ({
      name,
      rules: rules.filter((rule) => {
        const text = `${name} ${rule.id} ${rule.reason} ${rule.care ?? ''} ${ruleWords(rule)}`.toLowerCase()
        return words.every((word) => text.includes(word))
      }),
    }))
    .filter(({ rules }) => rules.length > 0)
  const count = subjects.reduce((sum, { rules }) => sum + rules.length, 0)
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('rules.title')}</h1>
          <p className="lead-text">{t('rules.lead')}</p>
        </div>
      </header>
      <SearchLine label={t('rules.search')} placeholder={t('rules.searchPlaceholder')} search={search} />
      {count === 0 && <p>{t('rules.noMatch', { words: search })}</p>}
      {subjects.map(({ name, rules }) => (
        <section key={name} className="month-head">
          <div className="section-head">
            <h2>{name}</h2>
            <span className="number">{rules.length}</span>
          </div>
          <ul className="rows">
            {rules.map((rule) => {
              const Icon = icons[rule.verdict]
              return (
                <li key={rule.id} id={rule.id} className="row-item rule-row">
                  <span className={`verdict is-${rule.verdict}`}>
                    <Icon aria-hidden size={18} /> {verdictNames[rule.verdict]}
                  </span>
                  <div>
                    <p>{rule.reason}</p>
                    {rule.care && <p className="caution mt-1">{rule.care}</p>}
                    <p className="soft">
                      {ruleWords(rule)}
                      {rule.school && t('rules.whileMethod', { method: methodText(rule.school, t) })}
                      {rule.safety && t('rules.fixed')}
                    </p>
                  </div>
                  <code className="soft">{rule.id}</code>
                </li>
              )
            })}
          </ul>
        </section>
      ))}
    </>
  )
}
