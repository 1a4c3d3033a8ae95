import type { Act } from '@/core/acts/act'
import type { Position } from '@/core/wheel/position'

/** Steps of the whole job that are known by name. */
export const jobStepIds = { wheelsOff: 'wheelsOff', wheelsOn: 'wheelsOn', bodyRinse: 'bodyRinse' } as const

/** A step at a wheel that belongs to no stage: `frontLeft.preRinse`. */
export const wheelStepId = (corner: Position, name: string): string => `${corner}.${name}`

/** The try of some stages at one wheel: `frontLeft.testSpot.iron-1.tar-2`. */
export const testSpotId = (corner: Position, stages: readonly { readonly id: string }[]): string =>
  wheelStepId(corner, ['testSpot', ...stages.map(({ id }) => id)].join('.'))

/** The stages a try is for; none where it is no try. */
export const triedStageIds = (stepId: string): readonly string[] => {
  const [, name, ...stages] = stepId.split('.')
  return name === 'testSpot' ? stages : []
}

/** What tells the steps of one stage at one wheel apart; absent where there is but one. */
export interface StageStepMarks {
  readonly round?: number
  readonly mist?: number
  readonly part?: number
}

/** A step of a stage at a wheel: `frontLeft.iron-1.spray2.part1`. */
export const stageStepId = (
  corner: Position,
  stageId: string,
  act: Act,
  { round, mist, part }: StageStepMarks = {},
): string =>
  `${corner}.${stageId}.${act}${mist ?? ''}${round ?? ''}${part === undefined ? '' : `.part${part}`}`
