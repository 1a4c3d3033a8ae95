import { CircleSlash, TriangleAlert } from 'lucide-react'
import type { Metadata } from 'next'
import { schoolTexts, type SchoolSetting } from '@/core/schools/schools'
import { ruleSubjects } from '@/core/rules/book'
import { ruleWords } from '@/core/rules/ruleWords'
import { verdictNames } from '@/core/rules/rule'
import { SearchLine } from '@/ui/SearchLine'

export const metadata: Metadata = { title: 'Rule book' }

/** A shop setting as a rule names it. */
const schoolSaid = ({ name, value }: SchoolSetting): string => {
  const { question, choices } = schoolTexts[name]
  const chosen = choices.find((choice) => choice.value === value)
  return `“${question}” at “${chosen?.text ?? String(value)}”`
}

const icons = { withCare: TriangleAlert, no: CircleSlash }

export default async function RulesPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
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
          <h1>Rule book</h1>
          <p className="lead-text">
            What holds, and why. The strictest rule wins; those about people and brakes cannot be switched
            off. Labels and safety data sheets come first.
          </p>
        </div>
      </header>
      <SearchLine
        label="Search by finish, product or zone"
        placeholder="matte, acid, caliper, tar …"
        search={search}
      />
      {count === 0 && (
        <p>
          No rule speaks of “{search}”. That something is not named does not make it safe: test spot first.
        </p>
      )}
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
                      {rule.school && ` While your shop has ${schoolSaid(rule.school)}.`}
                      {rule.safety && ' Cannot be switched off.'}
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
