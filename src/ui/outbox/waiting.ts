import type { LookInput } from '@/contracts/protection'
import type { Answer } from '@/core/run/answer'
import type { RunEvent } from '@/core/run/runEvent'
import type { Position } from '@/core/wheel/position'

interface Made {
  /** New for every thing, so that sending it twice is harmless. */
  readonly requestId: string
  /** By this device's clock, ms. For people to read; nothing is ordered by it. */
  readonly madeAt: number
}

/** What one tap in the bay says. */
export interface Tap {
  readonly kind: RunEvent['kind']
  readonly stepId: string
  /** By the server's clock as this device knows it, ISO 8601. */
  readonly at: string
  readonly person?: number
  /** What was seen; with `answered` only. */
  readonly answer?: Answer
}

export interface WaitingTap extends Made {
  readonly kind: 'tap'
  readonly jobId: string
  readonly tap: Tap
}

export interface WaitingLook extends Made {
  readonly kind: 'look'
  readonly wheelSetId: string
  readonly look: Omit<LookInput, 'requestId' | 'secondsAgo'>
}

export interface WaitingPhotograph extends Made {
  readonly kind: 'photograph'
  readonly wheelSetId: string
  readonly jobId: string | null
  /** Empty: of the whole set. */
  readonly positions: readonly Position[]
  readonly jpeg: Blob
}

/** Something a person entered that no server has taken yet. */
export type Waiting = WaitingTap | WaitingLook | WaitingPhotograph

/** What a person enters, before it has an id. */
export type Entered = {
  [Kind in Waiting['kind']]: Omit<Extract<Waiting, { kind: Kind }>, keyof Made>
}[Waiting['kind']]

/** Why something was refused. */
export interface RefusalReason {
  /** What happened and what to do, in the server's words. */
  readonly fix: string
  /** The job was ended meanwhile: what came after can still be added to its visit. */
  readonly isJobEnded: boolean
}

/** Something that waits, as the device keeps it. */
export interface Kept {
  readonly item: Waiting
  /** Counts up with everything made on this device; each kind is sent in this order. A clock may be set back, this is not. */
  readonly order: number
  /** Null: not asked yet, or no answer. */
  readonly refusal: RefusalReason | null
}

/** What became of something that was sent. */
export type Outcome =
  | { readonly kind: 'stored'; readonly value: unknown }
  | ({ readonly kind: 'refused' } & RefusalReason)
  /** The device's access was revoked. What it kept stays kept. */
  | { readonly kind: 'revoked' }
  /** No answer, too many requests, or a failure of the server: worth sending again. */
  | { readonly kind: 'later' }
