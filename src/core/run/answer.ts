import type { LookGrade } from '@/core/protection/record'
import type { Soil } from '@/core/soils/soil'
import type { Zone } from '@/core/wheel/zone'

/** Foam of a tyre round, from clean to dirty. */
export const foams = ['white', 'cream', 'tan', 'brown'] as const
export type Foam = (typeof foams)[number]

export const ironSights = ['done', 'bleeding'] as const
/** `bleeding`: the colour still runs when it is rinsed. */
export type IronSight = (typeof ironSights)[number]

export const spotSights = ['fine', 'nothing', 'marked'] as const
/** `nothing`: nothing came off; `marked`: haze, colour on the cloth, a dull ring. */
export type SpotSight = (typeof spotSights)[number]

/** What stayed, and where. */
export interface Stayed {
  readonly zone: Zone
  readonly soil: Soil
}

/** Where a further tyre round goes: in before the rinse that is due, or after it. */
export const roundPlaces = ['now', 'afterRinse'] as const
export type RoundPlace = (typeof roundPlaces)[number]

/** What the person saw at a step that asks. */
export type Answer =
  | {
      readonly question: 'foam'
      readonly foam: Foam
      /** Absent: after the rinse, which never makes anything late. */
      readonly place?: RoundPlace
    }
  | { readonly question: 'iron'; readonly iron: IronSight }
  | {
      readonly question: 'look'
      readonly stayed: readonly Stayed[]
      /** What the rinse did on the protection; absent where nobody looked at that. */
      readonly beading?: LookGrade
    }
  | {
      readonly question: 'testSpot'
      readonly spot: SpotSight
      /** Which of several tried at once; absent: the first. */
      readonly stageId?: string
    }
