import { useTranslations } from 'next-intl'
import { schoolNames, schoolTexts, type SchoolName, type Schools } from '@/core/schools/schools'

interface SchoolRowsProps {
  readonly value: Schools
  readonly change: (value: Schools) => void
}

/** Where practitioners disagree: each question with its reasons, and what this shop holds. */
export function SchoolRows({ value, change }: SchoolRowsProps) {
  const t = useTranslations()

  return (
    <>
      <div className="section-head">
        <h2 id="schools">{t('settings.methods.title')}</h2>
      </div>
      <ul className="rows">
        {schoolNames.map((name) => (
          <SchoolRow
            key={name}
            name={name}
            value={value[name]}
            choose={(choice) => change({ ...value, [name]: choice })}
          />
        ))}
      </ul>
    </>
  )
}

interface SchoolRowProps {
  readonly name: SchoolName
  readonly value: Schools[SchoolName]
  readonly choose: (value: Schools[SchoolName]) => void
}

function SchoolRow({ name, value, choose }: SchoolRowProps) {
  const t = useTranslations()

  const { question, choices, reason } = schoolTexts[name]
  return (
    <li className="row-item">
      <div className="school-row" role="group" aria-label={question}>
        <div>
          {question}
          <br />
          <span className="soft">
            {t('settings.methods.default', { choice: choices[0]?.text.toLowerCase() ?? '', reason })}
          </span>
        </div>
        <div className="chips">
          {choices.map((choice) => (
            <button
              key={String(choice.value)}
              type="button"
              className="chip"
              aria-pressed={choice.value === value}
              onClick={() => choose(choice.value)}
            >
              {choice.text}
            </button>
          ))}
        </div>
      </div>
    </li>
  )
}
