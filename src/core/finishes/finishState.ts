import type { Condition, Finish } from './finish'

/** What a zone is made of, and how it is. */
export interface FinishState {
  readonly finish: Finish
  readonly condition: Condition
}
