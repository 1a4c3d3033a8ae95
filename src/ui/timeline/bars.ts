import type { Said } from '@/core/message/message'
import {
  stagesOfStep,
  takesOff,
  type Plan,
  type PlanSequence,
  type SequenceEntry,
  type Step,
} from '@/core/plan/plan'
import { positions, type Position } from '@/core/wheel/position'

/** Something that takes time, drawn to length. */
export interface Bar {
  readonly key: string
  readonly stepId: string
  /** Hands at work, chemistry at work, or the room until it has to be off. */
  readonly kind: 'hands' | 'dwell' | 'limit'
  readonly tone: 'water' | 'chemistry' | 'plain'
  readonly startSeconds: number
  readonly endSeconds: number
  readonly label: Said
}

/** A coming to a wheel, from the first thing done there to the last. */
export interface Coming {
  readonly key: string
  readonly corner: Position | null
  readonly startSeconds: number
  readonly endSeconds: number
}

export interface Lane {
  readonly key: string
  /** Of a person, from 0, or of a wheel. */
  readonly of: { readonly person: number } | { readonly corner: Position }
  readonly bars: readonly Bar[]
  /** Where a person is; empty for the lane of a wheel. */
  readonly comings: readonly Coming[]
}

const toneOf = (step: Step): Bar['tone'] =>
  step.act === 'rinse' || step.act === 'preRinse'
    ? 'water'
    : step.startsDwell || step.act === 'reMist'
      ? 'chemistry'
      : 'plain'

const hands = (entry: SequenceEntry, step: Step): Bar => ({
  key: `${step.id}.hands`,
  stepId: step.id,
  kind: 'hands',
  tone: toneOf(step),
  startSeconds: entry.startSeconds,
  endSeconds: entry.endSeconds,
  label: step.title,
})

interface Known {
  readonly entry: SequenceEntry
  readonly step: Step
}

/** When what a step puts on is taken off: its rinse, or the next fresh spray of the same stage. Steps of one wheel, by time. */
function offAt({ step, entry }: Known, later: readonly Known[]): number {
  const off = later.find(
    ({ step: next, entry: at }) =>
      at.startSeconds >= entry.endSeconds &&
      (takesOff(next, step.stageId) ||
        (next.act === 'spray' && step.stageId !== null && stagesOfStep(next).includes(step.stageId))),
  )
  return off?.entry.startSeconds ?? entry.endSeconds + (step.startsDwell?.minSeconds ?? 0)
}

/** The cards of a person as spans of time; plans of earlier versions have none. */
function comingsOf({ cards, entries }: PlanSequence, person: number): Coming[] {
  const entryOf = new Map(entries.map((entry) => [entry.stepId, entry]))
  return cards
    .filter((card) => card.person === person)
    .flatMap(({ corner, taps }): Coming[] => {
      const own = taps.flatMap(({ stepIds }) => stepIds.flatMap((id) => entryOf.get(id) ?? []))
      const [first] = own
      return first
        ? [
            {
              key: first.stepId,
              corner,
              startSeconds: Math.min(...own.map(({ startSeconds }) => startSeconds)),
              endSeconds: Math.max(...own.map(({ endSeconds }) => endSeconds)),
            },
          ]
        : []
    })
}

/** A lane for every person and one for every wheel: what the hands do, what dwells, and how long it may stay. */
export function lanesOf(plan: Plan, sequence: PlanSequence): Lane[] {
  const steps = new Map(plan.steps.map((step) => [step.id, step]))
  const known = sequence.entries.flatMap((entry) => {
    const step = steps.get(entry.stepId)
    return step ? [{ entry, step }] : []
  })
  const people = Array.from({ length: sequence.people }, (_, person): Lane => ({
    key: `person${person}`,
    of: { person },
    bars: known.filter(({ entry }) => entry.person === person).map(({ entry, step }) => hands(entry, step)),
    comings: comingsOf(sequence, person),
  }))
  const corners = positions
    .filter((corner) => known.some(({ step }) => step.corner === corner))
    .map((corner): Lane => {
      const here = known.filter(({ step }) => step.corner === corner)
      return {
        key: corner,
        of: { corner },
        comings: [],
        bars: here.flatMap(({ entry, step }, at) => {
          const work = hands(entry, step)
          if (!step.startsDwell) return [work]
          const off = offAt({ entry, step }, here.slice(at + 1))
          const ready = Math.min(off, entry.endSeconds + step.startsDwell.minSeconds)
          const latest = entry.endSeconds + Math.max(step.startsDwell.maxSeconds, off - entry.endSeconds)
          return [
            {
              ...work,
              key: `${step.id}.limit`,
              kind: 'limit' as const,
              startSeconds: entry.endSeconds,
              endSeconds: latest,
            },
            {
              ...work,
              key: `${step.id}.dwell`,
              kind: 'dwell' as const,
              startSeconds: entry.endSeconds,
              endSeconds: Math.max(ready, entry.endSeconds),
            },
            work,
          ]
        }),
      }
    })
  return [...people, ...corners]
}
