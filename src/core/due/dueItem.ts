import type { Message } from '@/core/message/message'
import type { ProtectionKind } from '@/core/protection/kinds'
import type { ServiceId } from '@/core/visit-kinds/service'
import type { Position } from '@/core/wheel/position'

export const dueKinds = [
  'topUp', 'renewal', 'reviving', 'cureOver', 'decontamination', 'wheelsOff', 'torqueCheck', 'tyreDressing', 'trim',
  'resin', 'tool', 'bottle', 'seasonChange', 'reminder',
] as const // prettier-ignore
export type DueKind = (typeof dueKinds)[number]

/** How far a date can be trusted: to the day, give or take, or a wide guess. */
export const surenesses = ['sure', 'likely', 'guess'] as const
export type Sureness = (typeof surenesses)[number]

/** What one tap does about it. */
export type Remedy =
  | { readonly kind: 'visit'; readonly service: ServiceId }
  | { readonly kind: 'changeWheels' }
  | { readonly kind: 'place'; readonly place: 'tools' | 'bottles' | 'water' }
  | { readonly kind: 'none' }

/** One thing that falls due. */
export interface DueItem {
  /** Stays the same until it is done: what marks hang on. */
  readonly key: string
  readonly kind: DueKind
  /** Null: it belongs to the shop. */
  readonly wheelSetId: string | null
  readonly what: Message
  readonly why: Message
  readonly at: Date
  /** What it lies between in eight of ten cases; null: the day is as good as known. */
  readonly band: { readonly from: Date; readonly until: Date } | null
  readonly sureness: Sureness
  readonly remedy: Remedy
  /** Whether a person can say it is done, without a visit. */
  readonly canBeDone: boolean
  /** Its time has passed so that doing it now is no longer the same; absent: it can still be done. */
  readonly isMissed?: boolean
  /** What is put on anew when it is done; absent: nothing. */
  readonly again?: {
    readonly protection: ProtectionKind
    readonly productName: string
    readonly positions: readonly Position[]
  }
}

/** What a person did about something that was due. */
export interface DueMark {
  readonly snoozedUntil: Date | null
  readonly doneAt: Date | null
}

export type DueMarks = ReadonlyMap<string, DueMark>

export const millisecondsPerDay = 86_400_000
export const addDays = (at: Date, days: number): Date => new Date(at.getTime() + days * millisecondsPerDay)

/** The later of what was worked and what was marked as done; null: never. */
export function lastDone(worked: Date | null, mark: DueMark | undefined): Date | null {
  const done = mark?.doneAt ?? null
  if (worked === null || done === null) return worked ?? done
  return done > worked ? done : worked
}
