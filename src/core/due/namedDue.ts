import type { Message } from '@/core/message/message'
import { dueLists, layersDue, oneVisitFor, weekWorth, type DueShop } from './dueList'
import type { DueItem, DueKind, Sureness } from './dueItem'
import type { DueContext, DueSet } from './dueSet'
import type { NamedSetFacts, ToldCure } from '@/core/forecast'
import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import { drivenBy } from '@/core/protection/drivenBy'
import { layerId, type SetFacts } from '@/core/protection/setHistory'
import type { SetForecast } from '@/core/protection/setForecast'
import type { ServiceId } from '@/core/visit-kinds/service'
import { isStoredAt } from '@/core/protection/wheelChange'
import { axleOf } from '@/core/wheel/position'
import type { ShopForecast } from '@/core/forecast'

/** A due thing with whose it is. */
export interface NamedDue extends DueItem {
  /** Null: the shop's own. */
  readonly vehicleId: string | null
  readonly vehicleName: string
  readonly setName: string
}

const millisecondsPerMinute = 60_000

/** Where a set is now: without any change of wheels, by the season it is for. */
function isMounted({ id, changes, isOnlySet, season }: NamedSetFacts, isWinter: boolean, now: Date): boolean {
  if (changes.length > 0) return !isStoredAt(id, changes, isOnlySet, now)
  return season === null || (season === 'winter') === isWinter
}

const noCures: ReadonlyMap<string, Date> = new Map()
/** Cures that a person gave, by layer as the forecast names them. */
const curesByLayer = (wheelSetId: string, cures: readonly ToldCure[]): ReadonlyMap<string, Date> =>
  cures.length === 0
    ? noCures
    : new Map(cures.map((one) => [layerId(wheelSetId, { ...one, axle: axleOf(one.position) }), one.until]))

/** Everything known of some sets that their due things are worked out from. */
function dueSets(shop: ShopForecast, now: Date, isAsked: (facts: NamedSetFacts) => boolean): DueSet[] {
  const isWinter = shop.following.seasons.isWinter(now.getTime())
  return [...shop.facts.values()].filter(isAsked).flatMap((facts): DueSet[] => {
    const forecast = shop.forecasts.get(facts.id)
    if (!forecast) return []
    const { kilometresPerWeek, driven } = drivenBy(facts.told, facts.readings)
    const { visits = null, fitting = null, cures = [] } = shop.dueFacts.get(facts.id) ?? {}
    return [
      {
        facts,
        forecast,
        vehicleId: facts.vehicleId,
        vehicleKind: facts.vehicleKind,
        // What was changed within the minute is changed.
        isMounted: isMounted(facts, isWinter, new Date(now.getTime() + millisecondsPerMinute)),
        cureUntil: curesByLayer(facts.id, cures),
        lastVisits: visits?.byService ?? new Map(),
        firstVisitAt: visits?.firstAt ?? null,
        lastVisitAt: visits?.lastAt ?? null,
        lastFitting: fitting,
        kilometresPerWeek: driven.at(-1)?.kilometresPerWeek ?? kilometresPerWeek,
      },
    ]
  })
}

interface KeptItems {
  readonly facts: SetFacts
  readonly cures: ReadonlyMap<string, Date>
  readonly minute: number
  readonly items: DueItem[]
}

/** What was due of a set's layers when it was last asked; a forecast that moved is another one. */
const keptItems = new WeakMap<SetForecast, KeptItems>()

/** What is due of a set's layers, kept for a minute. */
function layersDueOf(set: DueSet, context: DueContext): DueItem[] {
  const minute = context.now.getTime()
  const kept = keptItems.get(set.forecast)
  if (kept?.minute === minute && kept.facts === set.facts && kept.cures === set.cureUntil) return kept.items
  const items = layersDue(set, context)
  keptItems.set(set.forecast, { facts: set.facts, cures: set.cureUntil, minute, items })
  return items
}

/** Everything is due to the minute. */
const toTheMinute = (now: Date): Date => new Date(now.getTime() - (now.getTime() % millisecondsPerMinute))

/** What is open, and what a person has put off or done already; the soonest first. */
export interface NamedLists {
  readonly open: readonly NamedDue[]
  readonly putAway: readonly NamedDue[]
}

function namedIn(shop: ShopForecast, item: DueItem): NamedDue {
  const facts = item.wheelSetId === null ? undefined : shop.facts.get(item.wheelSetId)
  return {
    ...item,
    vehicleId: facts?.vehicleId ?? null,
    vehicleName: facts?.vehicleName ?? 'The shop',
    setName: facts?.setName ?? '',
  }
}

/** What due things are asked with: what the shop has beside its sets, and when it is. */
export interface DueMoment {
  /** What falls due beside what is on the wheels: all of it small. */
  readonly beside: Omit<DueShop, 'sets' | 'layersDueOf' | 'estimates'>
  readonly overrides: EstimateOverrides
  readonly at: Date
}

function listsOf(
  shop: ShopForecast,
  { beside, overrides, at }: DueMoment,
  isAsked: (facts: NamedSetFacts) => boolean,
): NamedLists {
  const now = toTheMinute(at)
  const { open, putAway } = dueLists(
    { ...beside, sets: dueSets(shop, now, isAsked), estimates: shop.following.estimates, layersDueOf },
    { now, overrides },
  )
  const named = (item: DueItem): NamedDue => namedIn(shop, item)
  return { open: open.map(named), putAway: putAway.map(named) }
}

/** The lists of the whole shop as they were asked for last, and what from. */
const keptLists = new WeakMap<ShopForecast, { readonly from: string; readonly lists: NamedLists }>()
const keptByVehicle = new WeakMap<NamedLists, readonly NamedDue[]>()

const byName = new Intl.Collator('en').compare
const nameOf = ({ vehicleName, setName }: NamedDue): string => `${vehicleName} ${setName}`

/** What is open by vehicle and set, each in order of time. */
function openByVehicle(lists: NamedLists): readonly NamedDue[] {
  const kept = keptByVehicle.get(lists)
  if (kept) return kept
  const ordered = [...lists.open].sort((a, b) => byName(nameOf(a), nameOf(b)))
  keptByVehicle.set(lists, ordered)
  return ordered
}

/** Everything that falls due in the shop; worked out once a minute where nothing changes. */
function listsOfShop(shop: ShopForecast, moment: DueMoment): NamedLists {
  const { overrides, beside, at } = moment
  const from = JSON.stringify([toTheMinute(at), overrides, beside, [...beside.marks]])
  const kept = keptLists.get(shop)
  if (kept?.from === from) return kept.lists
  const lists = listsOf(shop, moment, () => true)
  keptLists.set(shop, { from, lists })
  return lists
}

/** Everything open in the whole shop, the soonest first. */
export const dueOfShop = (shop: ShopForecast, moment: DueMoment): readonly NamedDue[] =>
  listsOfShop(shop, moment).open

/** One open thing; undefined: it is not due any more. */
export const dueByKey = (shop: ShopForecast, moment: DueMoment & { readonly key: string }) =>
  listsOfShop(shop, moment).open.find(({ key }) => key === moment.key)

/** Everything open of one set, the soonest first. */
export function dueOfSet(
  shop: ShopForecast,
  { wheelSetId, ...moment }: DueMoment & { readonly wheelSetId: string },
): readonly NamedDue[] {
  const vehicleId = shop.facts.get(wheelSetId)?.vehicleId
  const reminders = moment.beside.reminders.filter((one) => one.wheelSetId === wheelSetId)
  // Its vehicle's other sets, too: a change of wheels is a matter of both.
  return listsOf(
    shop,
    { ...moment, beside: { ...moment.beside, reminders } },
    (facts) => facts.vehicleId === vehicleId,
  ).open.filter((item) => item.wheelSetId === wheelSetId)
}

/** What a day begins with. */
export interface WeekDue {
  /** How much is worth doing within a week. */
  readonly count: number
  /** Some of it, what presses most first; where nothing is, the soonest of all. */
  readonly rows: readonly NamedDue[]
  /** The visits that would do all of it. */
  readonly visits: readonly { readonly wheelSetId: string; readonly service: ServiceId }[]
}

export function dueOfWeek(shop: ShopForecast, moment: DueMoment & { readonly most: number }): WeekDue {
  const { open } = listsOfShop(shop, moment)
  const week = weekWorth(open, moment.at)
  return {
    count: week.length,
    rows: (week.length > 0 ? week : open).slice(0, moment.most),
    visits: [...bySet(week)].flatMap(([wheelSetId, own]) => {
      const service = oneVisitFor(own)
      return service ? [{ wheelSetId, service }] : []
    }),
  }
}

/** Due things by the set they are of; what is the shop's own is left out. */
function bySet(items: readonly NamedDue[]): Map<string, NamedDue[]> {
  const sets = new Map<string, NamedDue[]>()
  for (const item of items) {
    if (item.wheelSetId === null) continue
    const own = sets.get(item.wheelSetId)
    if (own) own.push(item)
    else sets.set(item.wheelSetId, [item])
  }
  return sets
}

/** Which due things are asked for, and which part of them. */
export interface DueAsked {
  /** In the name of vehicle or set. */
  readonly text: string
  readonly kind: DueKind | null
  readonly sureness: Sureness | null
  readonly by: 'time' | 'vehicle'
  /** Rows before those that are given. */
  readonly from: number
  readonly most: number
  /** What falls due within so many days goes into one visit. */
  readonly togetherDays: number
}

/** Several things of one set that one visit does. */
export interface VisitTogether {
  readonly wheelSetId: string
  readonly vehicleName: string
  readonly setName: string
  readonly whats: readonly Message[]
  readonly service: ReturnType<typeof oneVisitFor>
}

/** A part of the list of what is due. */
export interface DuePage {
  readonly rows: readonly NamedDue[]
  /** Rows before those given; the beginning where less than that are due. */
  readonly from: number
  /** Of what was asked for. */
  readonly count: number
  readonly isAnythingDue: boolean
  readonly together: readonly VisitTogether[]
  readonly togetherCount: number
  readonly putAway: readonly NamedDue[]
  readonly putAwayCount: number
}

const mostTogether = 6
/** Sets with several things a visit would do, soon. */
function visitsTogether(items: readonly NamedDue[], until: Date): VisitTogether[] {
  const soon = items.filter(({ remedy, at }) => remedy.kind === 'visit' && at <= until)
  return [...bySet(soon)].flatMap(([wheelSetId, own]): VisitTogether[] => {
    const [first] = own
    return first && own.length > 1
      ? [
          {
            wheelSetId,
            vehicleName: first.vehicleName,
            setName: first.setName,
            whats: own.map(({ what }) => what),
            service: oneVisitFor(own),
          },
        ]
      : []
  })
}

/** Of the whole shop they are the same for every page. */
const keptTogether = new WeakMap<NamedLists, VisitTogether[]>()

/** A part of everything that is due, narrowed as asked. */
export function duePage(shop: ShopForecast, { asked, ...moment }: DueMoment & { asked: DueAsked }): DuePage {
  const lists = listsOfShop(shop, moment)
  const { open, putAway } = lists
  const text = asked.text.trim().toLowerCase()
  const items = (asked.by === 'vehicle' ? openByVehicle(lists) : open).filter(
    (item) =>
      (asked.kind === null || item.kind === asked.kind) &&
      (asked.sureness === null || item.sureness === asked.sureness) &&
      (text === '' || nameOf(item).toLowerCase().includes(text)),
  )
  const from = asked.from < items.length ? asked.from : 0
  const until = new Date(moment.at.getTime() + asked.togetherDays * 24 * 60 * millisecondsPerMinute)
  const isAll = items.length === open.length
  const together = (isAll ? keptTogether.get(lists) : undefined) ?? visitsTogether(items, until)
  if (isAll) keptTogether.set(lists, together)
  return {
    rows: items.slice(from, from + asked.most),
    from,
    count: items.length,
    isAnythingDue: open.length > 0,
    together: together.slice(0, mostTogether),
    togetherCount: together.length,
    putAway: putAway.slice(0, asked.most),
    putAwayCount: putAway.length,
  }
}
