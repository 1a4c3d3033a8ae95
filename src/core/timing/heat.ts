import { sitesOf } from '@/core/choice/option'
import type { Corner, Job } from '@/core/job/job'
import { judgePlaces, rulesAbout } from '@/core/rules/judge'
import { hoursAt } from './workHours'
import type { Shortfall } from '@/core/plan/plan'

/** A surface that chemistry may go onto, °C; the rule on hot surfaces says so. */
const workableCelsius = 35

const isHeatRule = (id: string): boolean => id.startsWith('hot-')

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

/** The heat that forbids all work on all wheels now; null where some of it goes. */
export function tooHot(job: Job): Shortfall | null {
  const [product] = job.cabinet
  if (!product) return null
  const rules = rulesAbout({ product }).filter(({ id }) => isHeatRule(id))
  const refusals = job.corners.map((corner) => {
    const place = { corners: [corner], zones: ['face'] as const, tools: new Map(), mechanics: new Map() }
    return judgePlaces(rules, sitesOf(place, job)).rules[0]
  })
  const [rule] = refusals
  if (!rule || refusals.some((one) => one === undefined)) return null
  const mend = whenItGoes(rule.id, job.corners, job).trim()
  return {
    corners: job.corners.map(({ position }) => position),
    text: rule.reason,
    mend: mend || 'Let them cool, with plenty of water if it hurries, and measure again.',
  }
}
