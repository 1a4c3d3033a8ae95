import type { Plan, SecondRound } from '@/core/plan/plan'
import { familyOf } from '@/core/chemistry/families'
import { nameCorners } from '@/core/words/sayPlan'
import type { Position } from '@/core/wheel/position'
import { formatDuration } from '../format/format'

const odds: readonly (readonly [share: number, words: string])[] = [
  [0.3, '1 in 4'],
  [0.42, '1 in 3'],
  [0.58, '1 in 2'],
  [0.71, '2 in 3'],
  [0.88, '3 in 4'],
]

const oddsOf = (share: number): string => odds.find(([below]) => share < below)?.[1] ?? '9 in 10'

/** What the look may ask for, a sentence for each. */
export const secondRoundWords = (
  { stages, secondRounds = [] }: Pick<Plan, 'stages' | 'secondRounds'>,
  positions: readonly Position[],
): string[] =>
  secondRounds.flatMap(({ stageId, corners, share, seconds }: SecondRound) => {
    const stage = stages.find(({ id }) => id === stageId)
    return stage
      ? [
          `The final check may call for a second round of ${familyOf(stage.family).name} ${nameCorners(corners, positions)} (${oddsOf(share)}): ${formatDuration(seconds)} more.`,
        ]
      : []
  })
