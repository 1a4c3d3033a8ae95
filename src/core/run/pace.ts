import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import { stagesOfStep, type Act, type Step } from '@/core/plan/plan'
import type { Paces } from '@/core/pace/paces'
import type { RunState } from './runState'
import { exp, log } from '@/core/quantity/portableMath'

/** One step as it was worked. */
export interface LoggedTime {
  readonly act: Act
  /** What the plan gave it before any correction. */
  readonly houseSeconds: number
  readonly takenSeconds: number
}

/** Shorter or longer than this against the house's value is a slip of the finger or a break, not a pace. */
const honest = { least: 0.2, most: 4 }
/** A pace is never believed beyond this. */
const believed = { least: 0.4, most: 2.5 }
/** Taps of these say when something was looked at or waited for, not how long hands worked. */
const notWorked: readonly Act[] = ['coolCheck']

/** Steps that one tap ended. */
interface Tapped {
  readonly person: number | undefined
  readonly atMilliseconds: number
  readonly isCaughtUp: boolean
  readonly done: readonly Step[]
}

function tapsOf({ plan, settled }: RunState, people: number): Tapped[] {
  const steps = new Map(plan.steps.map((step) => [step.id, step]))
  const taps = new Map<string, Tapped>()
  for (const [id, { as, tappedAt, isCaughtUp, person: tapper }] of settled) {
    const step = steps.get(id)
    const person = people === 1 ? 0 : tapper
    const key = `${person} ${tappedAt.getTime()}`
    const known = taps.get(key)
    const done = [...(known?.done ?? []), ...(step && as === 'done' ? [step] : [])]
    taps.set(key, { person, atMilliseconds: tappedAt.getTime(), isCaughtUp, done })
  }
  return [...taps.values()].sort((a, b) => a.atMilliseconds - b.atMilliseconds)
}

/**
 * How long each step of a finished job took: from the tap before its own of the same person, or from the end of the dwell it had
 * to wait for, to its own tap. What one tap ended shares that time by its usual lengths; what was tapped in a burst to catch up
 * teaches nothing. Steps worked in parts count by part. Where two worked, only taps that say whose they are count.
 * @param paces what the plan was already corrected by
 * @param people who worked
 */
export function loggedTimes(state: RunState, paces: Paces, people: number): LoggedTime[] {
  /** When what was put on a wheel may be worked at, by wheel and stage. */
  const readyAt = new Map<string, number>()
  const lastOf = new Map<number, number>()
  return tapsOf(state, people).flatMap(({ person, atMilliseconds, isCaughtUp, done }): LoggedTime[] => {
    const [first] = done
    const ready = first && !first.startsDwell ? (readyAt.get(`${first.corner}.${first.stageId}`) ?? 0) : 0
    for (const step of done)
      if (step.startsDwell)
        for (const stageId of stagesOfStep(step))
          readyAt.set(`${step.corner}.${stageId}`, atMilliseconds + step.startsDwell.minSeconds * 1000)
    if (person === undefined) return []
    const before = lastOf.get(person)
    lastOf.set(person, atMilliseconds)
    const worked = done.filter(({ act }) => !notWorked.includes(act))
    if (before === undefined || isCaughtUp || worked.length === 0) return []
    const houseOf = (step: Step) => step.operatorSeconds / (paces[step.act]?.factor ?? 1)
    const house = worked.reduce((sum, step) => sum + houseOf(step), 0)
    const ratio = house > 0 ? (atMilliseconds - Math.max(before, ready)) / 1000 / house : 0
    if (ratio < honest.least || ratio > honest.most) return []
    return worked
      .filter((step) => houseOf(step) > 0)
      .map((step) => ({ act: step.act, houseSeconds: houseOf(step), takenSeconds: ratio * houseOf(step) }))
  })
}

/** The median of what was logged for each act against the house's value, drawn towards it while little is logged. */
export function pacesOf(logged: readonly LoggedTime[], overrides: EstimateOverrides): Paces {
  const trust = estimate('paceTrust', overrides)
  const ratios = new Map<Act, number[]>()
  for (const { act, houseSeconds, takenSeconds } of logged)
    ratios.set(act, [...(ratios.get(act) ?? []), log(takenSeconds / houseSeconds)])
  return Object.fromEntries(
    [...ratios].map(([act, list]) => {
      const drawn = (median(list) * list.length) / (list.length + trust)
      const factor = Math.min(believed.most, Math.max(believed.least, exp(drawn)))
      return [act, { factor: Math.round(factor * 100) / 100, times: list.length }]
    }),
  )
}

function median(list: readonly number[]): number {
  const sorted = [...list].sort((a, b) => a - b)
  const middle = sorted.length >> 1
  const upper = sorted[middle] as number
  return sorted.length % 2 === 1 ? upper : (upper + (sorted[middle - 1] as number)) / 2
}
