import type { PlanFile } from '@/contracts/planFile'
import type { PassMove } from '@/core/passes/passMoves'
import type { PlanPass } from '@/core/passes/planPass'
import type { Alternative, Stage } from '@/core/plan/plan'
import type { StageTiming } from '@/core/plan/stageTiming'
import { isMessage, type Message } from '@/core/message/message'
import type { Say } from './sayer'

/** A value in which everything that is to be said is text. */
export type Spoken<T> = T extends Message
  ? string
  : T extends string | number | boolean | null | undefined | Date | ReadonlyMap<unknown, unknown>
    ? T
    : T extends readonly (infer Each)[]
      ? readonly Spoken<Each>[]
      : T extends object
        ? { readonly [Key in keyof T]: Spoken<T[Key]> }
        : T

/**
 * Says every message in a plain value, at any depth: a plan as a person reads it.
 * @param value objects, arrays and what JSON has; instants and maps are left as they are
 */
export function spoken<T>(value: T, say: Say): Spoken<T> {
  const speak = (one: unknown): unknown => {
    if (one === null || typeof one !== 'object' || one instanceof Date || one instanceof Map) return one
    if (Array.isArray(one)) return one.map(speak)
    if (isMessage(one)) return say(one)
    return Object.fromEntries(Object.entries(one).map(([name, part]) => [name, speak(part)]))
  }
  return speak(value) as Spoken<T>
}

export type SpokenPlan = Spoken<PlanFile>
export type SpokenStage = Spoken<Stage>
export type SpokenTiming = Spoken<StageTiming>
export type SpokenPass = Spoken<PlanPass>
export type SpokenMove = Spoken<PassMove>
export type SpokenAlternative = Spoken<Alternative>
