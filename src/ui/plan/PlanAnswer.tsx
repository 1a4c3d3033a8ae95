import { useTranslations } from 'next-intl'
import type { SpokenPlan } from '@/i18n/spoken'

/** The headline with its chemistry and its time in their colours. The words alone say it, too. */
export function PlanAnswer({ plan }: { readonly plan: SpokenPlan }) {
  'use memo'
  const t = useTranslations()
  const names = plan.stages
    .filter(({ kind }) => kind === 'iron' || kind === 'mineral' || kind === 'tar')
    .map(({ family }) => t(`terms.family.${family}`))
  const time = /^(?:\d+ h \d+ min|\d+ h|\d+ min)$/
  const parts = plan.headline
    .split(
      new RegExp(
        `(${[...names.map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')), '\\d+ h \\d+ min', '\\d+ h(?![a-z])', '\\d+ min(?![a-z])'].join('|')})`,
        'i',
      ),
    )
    .filter((part) => part !== '')
  return (
    <h1 className={`plan-answer${plan.headline.length > 120 ? ' is-long' : ''}`}>
      {parts.map((part, index) => (
        <span
          key={index}
          className={
            time.test(part)
              ? 'of-time'
              : names.some((name) => name.toLowerCase() === part.toLowerCase())
                ? 'of-chemistry'
                : undefined
          }
        >
          {part}
        </span>
      ))}
    </h1>
  )
}
