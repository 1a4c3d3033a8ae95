import type { LookInput } from '@/contracts/protection'
import type { Position } from '@/core/wheel/position'

interface Made {
  /** New for every thing, so that sending it twice is harmless. */
  readonly requestId: string
  readonly wheelSetId: string
  /** By this device's clock, ms. */
  readonly madeAt: number
}

export interface WaitingLook extends Made {
  readonly kind: 'look'
  readonly look: Omit<LookInput, 'requestId' | 'secondsAgo'>
}

export interface WaitingPhotograph extends Made {
  readonly kind: 'photograph'
  readonly jobId: string | null
  /** Empty: of the whole set. */
  readonly positions: readonly Position[]
  readonly jpeg: Blob
}

/** Something a person entered that no server has taken yet. */
export type Waiting = WaitingLook | WaitingPhotograph

/** What a person enters, before it is known as a thing of its own. */
export type Entered =
  Omit<WaitingLook, 'requestId' | 'madeAt'> | Omit<WaitingPhotograph, 'requestId' | 'madeAt'>

/** Something that waits, as the device keeps it. */
export interface Kept {
  readonly item: Waiting
  /** Why the server does not take it; null: not asked yet, or no answer. */
  readonly refusal: string | null
}

/** What became of something that was sent. */
export type Outcome =
  | { readonly kind: 'stored'; readonly value: unknown }
  | { readonly kind: 'refused'; readonly mend: string }
  /** The device is not let in any more; what it kept stays kept. */
  | { readonly kind: 'shutOut'; readonly mend: string }
  /** No answer, or a failure of the server: worth sending again. */
  | { readonly kind: 'unreachable' }
