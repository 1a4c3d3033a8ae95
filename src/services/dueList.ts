import { cureEnds } from '@/core/due/cure'
import { dueLists, layersDue, type DueShop } from '@/core/due/dueList'
import type { DueItem, Sureness } from '@/core/due/dueItem'
import { surenessOf } from '@/core/due/layerDates'
import type { DueContext, DueSet } from '@/core/due/dueSet'
import { drivenBy } from '@/core/protection/drivenBy'
import { layerId, productId, type SetFacts } from '@/core/protection/setFacts'
import type { SetForecast } from '@/core/protection/setForecast'
import type { ProtectionKind } from '@/core/protection/kinds'
import { isStoredAt } from '@/core/protection/wheelChange'
import { axleOf, type Position } from '@/core/wheel/position'
import type { Database } from '@/data/database'
import { listFullBottles } from '@/data/queries/bottles'
import { countVisits, type ToldCure } from '@/data/queries/dueFacts'
import { listMarks, listReminders } from '@/data/queries/dueMarks'
import type { NamedSetFacts } from '@/data/queries/setFacts'
import { readSettings } from '@/data/queries/settings'
import { listTools } from '@/data/queries/tools'
import { lastWaterReading } from '@/data/queries/water'
import { protectionRoom, type ProtectionRoom } from './protectionRoom'

/** A due thing with whose it is. */
export interface NamedDue extends DueItem {
  /** Null: the shop's own. */
  readonly vehicleId: string | null
  readonly vehicleName: string
  readonly setName: string
}

const monthDays = 60
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
function dueSets(room: ProtectionRoom, now: Date, isAsked: (facts: NamedSetFacts) => boolean): DueSet[] {
  const isWinter = room.following.seasons.isWinter(now.getTime())
  return [...room.facts.values()].filter(isAsked).flatMap((facts): DueSet[] => {
    const forecast = room.forecasts.get(facts.id)
    if (!forecast) return []
    const { kilometresPerWeek, driven } = drivenBy(facts.told, facts.readings)
    const { visits = null, fitting = null, cures = [] } = room.dueFacts.get(facts.id) ?? {}
    return [
      {
        facts,
        forecast,
        vehicleId: facts.vehicleId,
        vehicleKind: facts.vehicleKind,
        isMounted: isMounted(facts, isWinter, now),
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

async function filterOf(
  database: Database,
  filter: { resinLitres: number; hardnessPpm: number; litresPerVisit: number } | null,
  filledAt: Date | null,
  now: Date,
): Promise<DueShop['filter']> {
  if (!filter) return null
  const reading = await lastWaterReading(database)
  const recent = await countVisits(database, new Date(now.getTime() - monthDays * 86_400_000))
  return {
    ...filter,
    filledAt,
    visitsSinceFilled: await countVisits(database, filledAt),
    visitsPerDay: recent / monthDays,
    lastAfterPpm: reading ? { at: reading.at, ppm: reading.afterPpm } : null,
  }
}

/** What is open, and what a person has put off or done already; the soonest first. */
export interface NamedLists {
  readonly open: readonly NamedDue[]
  readonly putAway: readonly NamedDue[]
}

function namedIn(room: ProtectionRoom, item: DueItem): NamedDue {
  const facts = item.wheelSetId === null ? undefined : room.facts.get(item.wheelSetId)
  return {
    ...item,
    vehicleId: facts?.vehicleId ?? null,
    vehicleName: facts?.vehicleName ?? 'The shop',
    setName: facts?.setName ?? '',
  }
}

/** What falls due beside what is on the wheels: all of it small, and read each time. */
type BesideSets = Omit<DueShop, 'sets' | 'layersDueOf' | 'estimates'>

async function besideSets(database: Database, now: Date, ofShop: boolean): Promise<BesideSets> {
  const [marks, reminders] = await Promise.all([listMarks(database), listReminders(database)])
  if (!ofShop) return { tools: [], bottles: [], filter: null, reminders, marks }
  const { filter } = await readSettings(database)
  return {
    tools: await listTools(database),
    bottles: await listFullBottles(database),
    filter: await filterOf(database, filter, marks.get('resin')?.doneAt ?? null, now),
    reminders,
    marks,
  }
}

function listsOf(
  room: ProtectionRoom,
  beside: BesideSets,
  now: Date,
  own: DueContext['own'],
  isAsked: (facts: NamedSetFacts) => boolean,
): NamedLists {
  const shop = {
    ...beside,
    sets: dueSets(room, now, isAsked),
    estimates: room.following.estimates,
    layersDueOf,
  }
  const { open, putAway } = dueLists(shop, { now, own })
  const named = (item: DueItem): NamedDue => namedIn(room, item)
  return { open: open.map(named), putAway: putAway.map(named) }
}

/** The lists of the whole shop as they were asked for last, and what from. */
const keptLists = new WeakMap<ProtectionRoom, { readonly from: string; readonly lists: NamedLists }>()

/** Everything that falls due in the shop; worked out once a minute where nothing changes. */
export async function listOpenAndPutAway(database: Database, at: Date): Promise<NamedLists> {
  const room = await protectionRoom(database, at)
  const now = toTheMinute(at)
  const { estimates } = await readSettings(database)
  const beside = await besideSets(database, now, true)
  const from = JSON.stringify([now, estimates, beside, [...beside.marks]])
  const kept = keptLists.get(room)
  if (kept?.from === from) return kept.lists
  const lists = listsOf(room, beside, now, estimates, () => true)
  keptLists.set(room, { from, lists })
  return lists
}

/** Everything that falls due, the soonest first, of one set, or of all and the shop itself. */
export async function listDue(
  database: Database,
  at: Date,
  wheelSetId: string | null = null,
): Promise<readonly NamedDue[]> {
  if (wheelSetId === null) return (await listOpenAndPutAway(database, at)).open
  const room = await protectionRoom(database, at)
  const vehicleId = room.facts.get(wheelSetId)?.vehicleId
  const { estimates } = await readSettings(database)
  const all = await besideSets(database, at, false)
  const beside = { ...all, reminders: all.reminders.filter((one) => one.wheelSetId === wheelSetId) }
  // Its vehicle's other sets, too: a change of wheels is a matter of both.
  const lists = listsOf(room, beside, toTheMinute(at), estimates, (facts) => facts.vehicleId === vehicleId)
  return lists.open.filter((item) => item.wheelSetId === wheelSetId)
}

/** What is on the wheels of a set and still worth counting on, and where it still cures. */
export interface LiveProtection {
  readonly position: Position
  readonly kind: ProtectionKind
  readonly productName: string
  readonly appliedAt: Date
  /** Share of its life that is left, 0 to 1. */
  readonly leftShare: number
  readonly sureness: Sureness
  readonly isGone: boolean
  readonly isCuring: boolean
  /** By its label where a person gave it, else by its kind. */
  readonly curesUntil: Date
}

/**
 * The protection on a set, wheel by wheel.
 * @param at the instant at which it is asked whether it is gone or still cures
 */
export async function liveProtection(
  database: Database,
  wheelSetId: string,
  now: Date,
  at: Date = now,
): Promise<LiveProtection[]> {
  const room = await protectionRoom(database, now)
  const facts = room.facts.get(wheelSetId)
  if (!facts) return []
  const told = new Map(
    room.dueFacts
      .get(wheelSetId)
      ?.cures.map((one) => [`${one.position} ${productId(one)} ${one.appliedAt.getTime()}`, one.until]),
  )
  const forecasts = new Map(room.forecasts.get(wheelSetId)?.layers.map((layer) => [layer.id, layer]) ?? [])
  return facts.layers
    .filter(({ endedAt }) => endedAt === null)
    .flatMap((layer) =>
      layer.positions.map((position): LiveProtection => {
        const forecast = forecasts.get(layerId(facts.id, layer))
        const until = cureEnds(
          layer,
          told.get(`${position} ${productId(layer)} ${layer.appliedAt.getTime()}`) ?? null,
        )
        return {
          position,
          kind: layer.kind,
          productName: layer.productName,
          appliedAt: layer.appliedAt,
          leftShare: Math.max(0, 1 - (forecast?.usedShare ?? 1)),
          sureness: forecast ? surenessOf(forecast.renew, layer.appliedAt) : 'guess',
          isGone: forecast ? forecast.renew.p50 <= at || forecast.clog.kind === 'gone' : false,
          isCuring: until > at && until > layer.appliedAt,
          curesUntil: until,
        }
      }),
    )
}
