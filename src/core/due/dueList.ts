import type { WearEstimates } from '@/core/protection/record'
import { cureDue } from './cureDue'
import { millisecondsPerDay, type DueItem, type DueKind, type DueMarks } from './dueItem'
import type { DueContext, DueSet } from './dueSet'
import { intervalDue } from './intervalDue'
import { protectionDue, rubberDue } from './protectionDue'
import { seasonDue } from './seasonDue'
import { bottleDue, reminderDue, resinDue, toolDue } from './shopDue'
import type { DueBottle, DueFilter, DueTool, Reminder } from './shopDue'
import { torqueDue } from './torqueDue'

/** Everything that can fall due in a shop. */
export interface DueShop {
  readonly sets: readonly DueSet[]
  readonly tools: readonly DueTool[]
  readonly bottles: readonly DueBottle[]
  readonly filter: DueFilter | null
  readonly reminders: readonly Reminder[]
  readonly marks: DueMarks
  readonly estimates: WearEstimates
  /** `layersDue`, where the caller keeps what it gave. */
  readonly layersDueOf?: typeof layersDue
}

/** What is due of a set's layers; no mark moves it. */
export const layersDue = (set: DueSet, context: DueContext): DueItem[] => [
  ...protectionDue(set, context),
  ...rubberDue(set, context),
  ...cureDue(set, context),
]

/** What is due of one set by itself. */
const setDue = (set: DueSet, { marks, layersDueOf = layersDue }: DueShop, context: DueContext): DueItem[] => [
  ...layersDueOf(set, context),
  ...intervalDue(set, marks, context),
  ...torqueDue(set, marks, context),
]

/** Vehicles with sets for both seasons. */
function seasonsDue({ sets, estimates }: DueShop, { now }: DueContext): DueItem[] {
  const vehicles = new Map<string, DueSet[]>()
  for (const set of sets)
    if (set.facts.season !== null) vehicles.set(set.vehicleId, [...(vehicles.get(set.vehicleId) ?? []), set])
  return [...vehicles.values()].flatMap((own) => seasonDue(own, now, estimates))
}

/** Whether a person has put it off until later than now, or has done it. */
function isPutAway({ key, at }: DueItem, marks: DueMarks, now: Date): boolean {
  const mark = marks.get(key)
  if (!mark) return false
  if (mark.snoozedUntil && mark.snoozedUntil > now) return true
  return mark.doneAt !== null && mark.doneAt >= at
}

/** Everything that falls due, the soonest first: what is open, and what a person has put off or done already. */
export interface DueLists {
  readonly open: readonly DueItem[]
  readonly putAway: readonly DueItem[]
}

export function dueLists(shop: DueShop, context: DueContext): DueLists {
  const { marks } = shop
  const items = [
    ...shop.sets.flatMap((set) => setDue(set, shop, context)),
    ...seasonsDue(shop, context),
    ...resinDue(shop.filter, context),
    ...toolDue(shop.tools, context),
    ...bottleDue(shop.bottles, context),
    ...reminderDue(shop.reminders, marks),
  ].sort((a, b) => a.at.getTime() - b.at.getTime() || (a.key < b.key ? -1 : 1))
  return {
    open: items.filter((item) => !isPutAway(item, marks, context.now)),
    putAway: items.filter((item) => isPutAway(item, marks, context.now)),
  }
}

const weekDays = 7
/** What presses more, when it is due on one day. */
const weights: Partial<Record<DueKind, number>> = {
  torqueCheck: 0,
  cureOver: 1,
  reviving: 2,
  renewal: 3,
  topUp: 4,
}

/** What is worth doing within a week: safety first, then wheels before rubber and the shop's own things. */
export function weekWorth<Item extends DueItem>(items: readonly Item[], now: Date): Item[] {
  const weight = ({ kind }: Item): number => weights[kind] ?? 5
  return items
    .filter(({ at }) => at.getTime() <= now.getTime() + weekDays * millisecondsPerDay)
    .sort((a, b) => weight(a) - weight(b) || b.at.getTime() - a.at.getTime())
}

/** The services that a set's due things ask for, from a quick round to wheels off: the most thorough does the others, too. */
const thoroughness = [
  'waterless', 'quickRound', 'winter', 'maintain', 'coatedMaintenance', 'decontaminate', 'restore', 'wheelsOff',
] as const // prettier-ignore

/** One visit for several things that are due of one set: the service that does them all. */
export function oneVisitFor(items: readonly DueItem[]): (typeof thoroughness)[number] | null {
  const wanted = items.flatMap(({ remedy }) => (remedy.kind === 'visit' ? [remedy.service] : []))
  return thoroughness.findLast((service) => wanted.includes(service)) ?? null
}
