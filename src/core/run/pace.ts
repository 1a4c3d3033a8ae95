import { estimate, type OwnEstimates } from '@/core/estimates/houseEstimates'
import { stagesOfStep, type Act, type Plan } from '@/core/plan/plan'
import type { Paces } from '@/core/pace/paces'
import { runState, type RunEvent } from './runState'
import { exp, log } from '@/core/quantity/steady'

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

/**
 * How long each step of a finished job took: from the tap before it of the same person, or from the end of the dwell it had to
 * wait for, to its own tap. Steps worked in parts count by part. Where two worked, only taps that say whose they are count.
 * @param paces what the plan was already corrected by
 * @param people who worked
 */
export function loggedTimes(
  plan: Plan,
  events: readonly RunEvent[],
  paces: Paces,
  people: number,
): LoggedTime[] {
  const { settled } = runState(plan, events)
  const taps = [...settled].sort(([, a], [, b]) => a.at.getTime() - b.at.getTime())
  const steps = new Map(plan.steps.map((step) => [step.id, step]))
  /** When what was put on a wheel may be worked at, by wheel and stage. */
  const readyAt = new Map<string, number>()
  const lastOf = new Map<number, number>()
  return taps.flatMap(([id, { as, at, person: tapper }]): LoggedTime[] => {
    const step = steps.get(id)
    const person = people === 1 ? 0 : tapper
    if (!step) return []
    const key = `${step.corner}.${step.stageId}`
    const ready = readyAt.get(key) ?? 0
    if (step.startsDwell)
      for (const stageId of stagesOfStep(step))
        readyAt.set(`${step.corner}.${stageId}`, at.getTime() + step.startsDwell.minSeconds * 1000)
    if (person === undefined) return []
    const before = lastOf.get(person)
    lastOf.set(person, at.getTime())
    if (before === undefined || as !== 'done' || notWorked.includes(step.act)) return []
    const takenSeconds = (at.getTime() - Math.max(before, step.startsDwell ? 0 : ready)) / 1000
    const houseSeconds = step.operatorSeconds / (paces[step.act]?.factor ?? 1)
    const isHonest = takenSeconds >= honest.least * houseSeconds && takenSeconds <= honest.most * houseSeconds
    return isHonest && houseSeconds > 0 ? [{ act: step.act, houseSeconds, takenSeconds }] : []
  })
}

/** The median of what was logged for each act against the house's value, drawn towards it while little is logged. */
export function pacesOf(logged: readonly LoggedTime[], own: OwnEstimates): Paces {
  const trust = estimate('paceTrust', own)
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
