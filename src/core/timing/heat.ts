import { message, type Message } from '@/core/message/message'
import { term } from '@/core/message/term'
import { sitesOf } from '@/core/choice/sites'
import { hotBrakes } from '@/core/conditions/brakesNow'
import type { Corner, Job } from '@/core/job/job'
import { ruleBook } from '@/core/rules/book'
import { judgePlaces } from '@/core/rules/judge'
import type { Rule } from '@/core/rules/rule'
import { hoursAt } from './workHours'
import type { Shortfall } from '@/core/plan/plan'

/** A surface that chemistry may go onto, °C; the rule on hot surfaces says so. */
const workableCelsius = 35

const isHeatRule = (id: string): boolean => id.startsWith('hot-')
/** Rules about the day, whatever is put on. */
const isWeatherRule = (id: string): boolean => isHeatRule(id) || id === 'frost'

/** Where it is heat that forbids: when and where it goes; null for other rules, or where nobody can tell. */
export function whenItGoes(ruleId: string, corners: readonly Corner[], job: Job): Message | null {
  if (!isHeatRule(ruleId)) return null
  const { conditions, estimates } = job
  const hours = corners.map((corner) =>
    hoursAt(corner, 'trigger', conditions, estimates).find(
      ({ hour, surfaceCelsius }) => hour > (conditions.startHour ?? 24) && surfaceCelsius <= workableCelsius,
    ),
  )
  const latest = Math.max(...hours.map((one) => one?.hour ?? Infinity))
  const isShaded = conditions.exposure === 'shade'
  if (!Number.isFinite(latest)) return isShaded ? null : message('reasons.now.shadeOr')
  return isShaded
    ? message('reasons.now.after', { hour: latest })
    : message('reasons.now.shadeOrAfter', { hour: latest })
}

/** Heat and frost that forbid all work at single wheels now, each reason once with its wheels. */
export function forbiddenNow(job: Job): Shortfall[] {
  const rules = ruleBook.filter(({ id, verdict }) => verdict === 'no' && isWeatherRule(id))
  const byRule = new Map<Rule, Corner[]>()
  for (const corner of job.corners) {
    const place = { corners: [corner], zones: ['face'] as const }
    const [rule] = judgePlaces(rules, sitesOf(place, job)).rules
    if (rule) byRule.set(rule, [...(byRule.get(rule) ?? []), corner])
  }
  return [
    ...notCooling(job),
    ...[...byRule].map(([rule, corners]) => ({
      corners: corners.map(({ position }) => position),
      text: rule.reason,
      fix:
        rule.id === 'frost'
          ? message('reasons.now.heated')
          : (whenItGoes(rule.id, corners, job) ?? message('reasons.now.letCool')),
    })),
  ]
}

/** Wheels whose brakes do not cool by their readings: nobody can tell when they may be wetted. */
function notCooling({ corners, conditions, estimates }: Job): Shortfall[] {
  const rising = hotBrakes(conditions, estimates).filter(
    ({ position, waitSeconds }) =>
      waitSeconds === null && corners.some((corner) => corner.position === position),
  )
  return rising.map(({ position, celsius }) => ({
    corners: [position],
    text: message('reasons.now.notCooling', {
      wheel: term('wheel', position),
      temperature: { celsius },
    }),
    fix: message('reasons.now.notCoolingFix'),
  }))
}
