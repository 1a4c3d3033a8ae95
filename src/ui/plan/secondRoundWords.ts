import type { Translator } from '@/i18n/translator'
import type { Plan, SecondRound } from '@/core/plan/plan'
import { sayWhere } from '@/core/reasons/sayCorners'
import type { Say } from '@/i18n/sayer'
import type { Position } from '@/core/wheel/position'
import { formatDuration } from '@/i18n/format'

/** Shares as people say them: so many of so many, up to a share. */
const odds: readonly (readonly [below: number, times: number, of: number])[] = [
  [0.3, 1, 4],
  [0.42, 1, 3],
  [0.58, 1, 2],
  [0.71, 2, 3],
  [0.88, 3, 4],
  [Infinity, 9, 10],
]

/** What the look may ask for, a sentence for each. */
export const secondRoundWords = (
  { stages, secondRounds = [] }: Pick<Plan, 'stages' | 'secondRounds'>,
  positions: readonly Position[],
  t: Translator,
  say: Say,
): string[] =>
  secondRounds.flatMap(({ stageId, corners, share, seconds }: SecondRound) => {
    const stage = stages.find(({ id }) => id === stageId)
    const [, times = 9, of = 10] = odds.find(([below]) => share < below) ?? []
    return stage
      ? [
          t('plan.secondApplication', {
            product: t(`terms.family.${stage.family}`),
            where: say(sayWhere(corners, positions)),
            times,
            of,
            time: formatDuration(seconds),
          }),
        ]
      : []
  })
