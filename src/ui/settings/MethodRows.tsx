import { useTranslations } from 'next-intl'
import { capitalised } from '@/i18n/sayer'
import { useSay } from '@/i18n/useSay'
import { methodChoices, methodNames, sayChoice, type MethodName, type Methods } from '@/core/methods/methods'

interface MethodRowsProps {
  readonly value: Methods
  readonly change: (value: Methods) => void
}

/** Where practitioners disagree: each question with its reasons, and what this shop holds. */
export function MethodRows({ value, change }: MethodRowsProps) {
  const t = useTranslations()

  return (
    <>
      <div className="section-head">
        <h2 id="methods">{t('settings.methods.title')}</h2>
      </div>
      <ul className="rows">
        {methodNames.map((name) => (
          <MethodRow
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

interface MethodRowProps {
  readonly name: MethodName
  readonly value: Methods[MethodName]
  readonly choose: (value: Methods[MethodName]) => void
}

function MethodRow({ name, value, choose }: MethodRowProps) {
  const t = useTranslations()

  const say = useSay()
  const question = t(`methods.${name}.question`)
  const choices: readonly Methods[MethodName][] = methodChoices[name]
  return (
    <li className="row-item">
      <div className="method-row" role="group" aria-label={question}>
        <div>
          {question}
          <br />
          <span className="soft">
            {t('settings.methods.default', {
              choice: say(sayChoice(name, choices[0] ?? value)),
              reason: t(`methods.${name}.reason`),
            })}
          </span>
        </div>
        <div className="chips">
          {choices.map((choice) => (
            <button
              key={String(choice)}
              type="button"
              className="chip"
              aria-pressed={choice === value}
              onClick={() => choose(choice)}
            >
              {capitalised(say(sayChoice(name, choice)))}
            </button>
          ))}
        </div>
      </div>
    </li>
  )
}
