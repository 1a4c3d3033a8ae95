import type { Translator } from '@/i18n/translator'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { CircleSlash, TriangleAlert } from 'lucide-react'
import { sayChoice, type MethodSetting } from '@/core/methods/methods'
import { ruleSubjects } from '@/core/rules/book'
import type { Rule } from '@/core/rules/rule'
import { ruleWords } from '@/core/rules/ruleWords'
import { getSay } from '@/i18n/getSay'
import type { Say } from '@/i18n/sayer'
import { spoken } from '@/i18n/spoken'
import { Link } from '@/ui/Link'
import { SearchLine } from '@/ui/SearchLine'

export const generateMetadata = titled('rules.title')

/** The setting that switches a rule on, as a rule names it. */
const methodText = ({ name, value }: MethodSetting, t: Translator, say: Say): string =>
  t('rules.whileMethod', { question: t(`methods.${name}.question`), choice: say(sayChoice(name, value)) })

const icons = { withCare: TriangleAlert, no: CircleSlash }

export default async function RulesPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const t = await getTranslations()
  const say = await getSay()

  const { q } = await searchParams
  const search = (typeof q === 'string' ? q : '').slice(0, 100)
  const words = search.toLowerCase().split(/\s+/).filter(Boolean)
  const subjects = ruleSubjects
    .map(({ name, rules }) => ({
      name: t(`rules.subjects.${name}`),
      rules: rules.map((rule: Rule) => ({ ...spoken(rule, say), about: say(ruleWords(rule)) })),
    }))
    .map(({ name, rules }) => ({
      name,
      rules: rules.filter(({ id, reason, care = '', about }) => {
        const text = `${name} ${id} ${reason} ${care} ${about}`.toLowerCase()
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
        <Link href="/rules/glossary" className="btn btn-outline-secondary">
          {t('rules.glossary.link')}
        </Link>
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
                    <Icon aria-hidden size={18} /> {t(`terms.verdict.${rule.verdict}`)}
                  </span>
                  <div>
                    <p>{rule.reason}</p>
                    {rule.care && <p className="caution mt-1">{rule.care}</p>}
                    <p className="soft">
                      {rule.about}
                      {rule.method && methodText(rule.method, t, say)}
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
