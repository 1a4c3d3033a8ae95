import { sitesOf } from '@/core/choice/sites'
import { hotBrakes } from '@/core/conditions/brakesNow'
import type { Corner, Job } from '@/core/job/job'
import { ruleBook } from '@/core/rules/book'
import { judgePlaces } from '@/core/rules/judge'
import type { Rule } from '@/core/rules/rule'
import { hoursAt } from './workHours'
import type { Shortfall } from '@/core/plan/plan'
import { positionNames } from '@/core/wheel/position'

/** A surface that chemistry may go onto, °C; the rule on hot surfaces says so. */
const workableCelsius = 35

const isHeatRule = (id: string): boolean => id.startsWith('hot-')
/** Rules about the day, whatever is put on. */
const isWeatherRule = (id: string): boolean => isHeatRule(id) || id === 'frost'

/** Where it is heat that forbids: when and where it goes; empty for other rules, or where nobody can tell. */
export function whenItGoes(ruleId: string, corners: readonly Corner[], job: Job): string {
  if (!isHeatRule(ruleId)) return ''
  const { conditions, estimates } = job
  const hours = corners.map((corner) =>
    hoursAt(corner, 'trigger', conditions, estimates).find(
      ({ hour, surfaceCelsius }) => hour > (conditions.startHour ?? 24) && surfaceCelsius <= workableCelsius,
    ),
  )
  const latest = Math.max(...hours.map((one) => one?.hour ?? Infinity))
  const shade = conditions.exposure === 'shade' ? '' : ' Move it into the shade'
  if (!Number.isFinite(latest)) return shade ? `${shade}, or come back early or late in the day.` : ''
  return shade ? `${shade}, or start after ${latest}:00.` : ` It goes after ${latest}:00.`
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
      mend:
        rule.id === 'frost'
          ? 'A heated place, or another day.'
          : whenItGoes(rule.id, corners, job).trim() ||
            'Let them cool, with plenty of water if it hurries, and measure again.',
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
    text: `The brake of ${positionNames[position].toLowerCase()} is too hot (${Math.round(celsius)} °C), and by its two readings it does not cool.`,
    mend: 'Measure the same spot again after ten minutes. Until it cools, nothing wet goes on this wheel.',
  }))
}
