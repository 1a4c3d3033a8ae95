import { message } from '@/core/message/message'
import type { WearEstimates } from '@/core/protection/record'
import { addDays, type DueItem } from './dueItem'
import type { DueSet } from './dueSet'

/** So long before the season turns, days. House estimate. */
const aheadDays = 14
const farthestDays = 400

/** The first day of a season: of the one that is on, else of the next to come. */
function seasonBegins(season: 'winter' | 'summer', now: Date, { winterMonths }: WearEstimates): Date | null {
  const isIn = (at: Date): boolean => winterMonths.includes(at.getUTCMonth() + 1) === (season === 'winter')
  const days = Array.from({ length: farthestDays }, (_, day) => day + 1)
  if (!isIn(now)) {
    const until = days.find((day) => isIn(addDays(now, day)))
    return until === undefined ? null : addDays(now, until)
  }
  const since = days.find((day) => !isIn(addDays(now, -day)))
  return since === undefined ? null : addDays(now, 1 - since)
}

/** A vehicle with a set for each season: the other one goes on when its season comes. */
export function seasonDue(sets: readonly DueSet[], now: Date, estimates: WearEstimates): DueItem[] {
  const mounted = sets.find(({ isMounted, facts }) => isMounted && facts.season !== null)
  const other = sets.find(
    ({ isMounted, facts }) => !isMounted && facts.season !== null && facts.season !== mounted?.facts.season,
  )
  const season = other?.facts.season
  if (!mounted || !other || !season) return []
  const begins = seasonBegins(season, now, estimates)
  if (!begins) return []
  const isIn = begins <= now
  return [
    {
      key: `seasonChange ${other.facts.id} ${begins.getUTCFullYear()}`,
      kind: 'seasonChange',
      wheelSetId: other.facts.id,
      what: message('due.items.season.what', { season }),
      why: message('due.items.season.why', { season }),
      at: isIn ? begins : addDays(begins, -aheadDays),
      band: isIn ? null : { from: addDays(begins, -aheadDays), until: begins },
      sureness: 'likely',
      remedy: { kind: 'changeWheels' },
      canBeDone: true,
    },
  ]
}
