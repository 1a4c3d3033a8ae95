import type { Act } from '@/core/acts/act'

/** How a person's own logged times compare with the house's. */
export interface Pace {
  /** 1.2: a fifth longer than the house's value. */
  readonly factor: number
  /** Logged times it rests on. */
  readonly times: number
}

export type Paces = Partial<Record<Act, Pace>>
