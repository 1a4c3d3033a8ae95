import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { finderQuestions, findFinish, type FinderAnswers } from '@/core/finishes/finishFinder'
import type { Finish } from '@/core/finishes/finish'
import { finishZones, type FinishZone } from '@/core/wheel/zone'

type FinderQuestion = (typeof finderQuestions)[number]

/** What an answer is called; every question has its own. */
const answerText = (
  name: FinderQuestion['name'],
  value: FinderQuestion['choices'][number],
  t: Translator,
): string => t(`wheelSet.finder.questions.${name}.${value}` as 'wheelSet.finder.questions.look.paintLike')

/** A few questions and the cloth test, ending in a finish, how sure it is, and what to mind. */
export function FinishFinder({
  use,
}: {
  readonly use: (zones: readonly FinishZone[], finish: Finish) => void
}) {
  const t = useTranslations()

  const [answers, setAnswers] = useState<FinderAnswers>({})
  const found = findFinish(answers)
  const wheelZones = finishZones.filter((zone) => zone !== 'caliper')
  return (
    <details className="finder mt-2">
      <summary>{t('wheelSet.finder.open')}</summary>
      {finderQuestions.map(({ name, choices }) => (
        <div
          key={name}
          className="finder-row"
          role="group"
          aria-label={t(`wheelSet.finder.questions.${name}.ask`)}
        >
          <span>{t(`wheelSet.finder.questions.${name}.ask`)}</span>
          <span className="chips">
            {choices.map((value) => (
              <button
                key={String(value)}
                type="button"
                className="chip"
                aria-pressed={answers[name] === value}
                onClick={() =>
                  setAnswers({ ...answers, [name]: answers[name] === value ? undefined : value })
                }
              >
                {answerText(name, value, t)}
              </button>
            ))}
          </span>
        </div>
      ))}
      <p className="mt-2" aria-live="polite">
        <b>{t(`wheelSet.finder.found.${found.confidence}`, { finish: t(`terms.finish.${found.finish}`) })}</b>{' '}
        {t(`wheelSet.finder.cautions.${found.caution}`)}
      </p>
      <div className="chips mt-2">
        <Button variant="outline-secondary" onClick={() => use(['face', 'lip'], found.finish)}>
          {t('wheelSet.finder.faceAndLip')}
        </Button>
        <Button variant="outline-secondary" onClick={() => use(wheelZones, found.finish)}>
          {t('wheelSet.finder.wholeWheel')}
        </Button>
        {wheelZones
          .filter((zone) => zone !== 'face' && zone !== 'lip')
          .map((zone) => (
            <Button key={zone} variant="outline-secondary" onClick={() => use([zone], found.finish)}>
              {t(`terms.zone.${zone}`)}
            </Button>
          ))}
      </div>
    </details>
  )
}
