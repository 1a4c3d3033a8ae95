import { calibrate, type Calibration } from '@/core/protection/calibrate'
import { followSet, type FollowedSet, type Following } from '@/core/protection/followed'
import { followingOf } from '@/core/protection/forecast'
import { wearEstimatesOf } from '@/core/protection/houseWear'
import { productId, setRecordOf } from '@/core/protection/setFacts'
import { learnFrom, type Start } from '@/core/protection/learn'
import type { WornProduct } from '@/core/protection/record'
import { setForecast, type SetForecast } from '@/core/protection/setForecast'
import { winterMonths } from '@/core/soils/winter'
import type { Settings } from '@/contracts/settings'
import type { Database } from '@/data/database'
import { readDueFacts, type DueFacts } from '@/data/queries/dueFacts'
import { changedSets, readSetFacts, type NamedSetFacts } from '@/data/queries/setFacts'
import { readSettings } from '@/data/queries/settings'

/** What is forecast for all sets of the shop, kept between requests. */
export interface ProtectionRoom {
  readonly following: Following
  readonly products: readonly WornProduct[]
  readonly facts: ReadonlyMap<string, NamedSetFacts>
  readonly dueFacts: ReadonlyMap<string, DueFacts>
  readonly followed: ReadonlyMap<string, FollowedSet>
  readonly learnt: Start
  readonly calibration: Calibration
  readonly forecasts: ReadonlyMap<string, SetForecast>
}

interface Kept extends ProtectionRoom {
  /** Day and settings it was made for. */
  readonly key: string
  /** Number of the last change it knows of. */
  readonly number: number
}

/** Next bundles modules more than once; a process needs one room only. */
const shared = globalThis as typeof globalThis & { evenSpokeRooms?: WeakMap<Database, Promise<Kept>> }
const rooms = (shared.evenSpokeRooms ??= new WeakMap())

/** What was forecast is of other data now. */
export const forgetProtection = (database: Database): void => {
  rooms.delete(database)
}

const millisecondsPerDay = 86_400_000
/** Forecasts are made for the end of the day, so that everything of today is known in them. */
const endOfDay = (now: Date): Date =>
  new Date(Math.ceil((now.getTime() + 1) / millisecondsPerDay) * millisecondsPerDay)

const regionOf = ({ winterMonths: own, salt, northern }: Settings) => ({
  winterMonths: own ?? winterMonths[northern ? 'northern' : 'southern'],
  salt,
})

function productsOf(facts: Iterable<NamedSetFacts>): WornProduct[] {
  const kinds = new Map<string, string>()
  for (const { layers } of facts) for (const layer of layers) kinds.set(productId(layer), layer.kind)
  return [...kinds].map(([id, kind]) => ({ id, kind })).sort((a, b) => (a.id < b.id ? -1 : 1))
}

/** Follows what changed, learns from where it was, and forecasts the sets it moved. */
function forecastAll(
  base: Pick<Kept, 'key' | 'number' | 'facts' | 'dueFacts' | 'followed'>,
  settings: Settings,
  now: Date,
  before: Kept | null,
): Kept {
  const products = productsOf(base.facts.values())
  const following = followingOf(now, wearEstimatesOf(settings.estimates, regionOf(settings)), products)
  const followed = new Map(
    [...base.facts.values()].map((facts): [string, FollowedSet] => [
      facts.id,
      base.followed.get(facts.id) ?? followSet(setRecordOf(facts, settings.estimates), following),
    ]),
  )
  const sets = [...followed.values()]
  const learnt = learnFrom(sets, products, following.estimates, before?.learnt)
  const calibration =
    (before?.key === base.key ? before.calibration : null) ??
    calibrate(
      sets.map(({ record }) => record),
      products,
      following,
    )
  const forecasts = new Map(
    sets.map((set): [string, SetForecast] => [
      set.record.set.id,
      setForecast(
        set,
        learnt.held,
        following.now,
        calibration.widen,
        before?.forecasts.get(set.record.set.id),
      ),
    ]),
  )
  return { ...base, following, products, followed, learnt, calibration, forecasts }
}

interface Known extends Pick<Kept, 'number' | 'facts' | 'dueFacts'> {
  /** Sets of which something has changed. */
  readonly changed: readonly string[]
}

/** What is known of all sets: all of it read, or what has changed since. */
async function knownOf(database: Database, kept: Kept | null): Promise<Known> {
  const { ids, number } = await changedSets(database, kept?.number ?? -1)
  if (kept && ids.length === 0) return { ...kept, changed: ids }
  const which = kept ? ids : null
  const [facts, dueFacts] = [new Map(kept?.facts), new Map(kept?.dueFacts)]
  for (const id of ids) facts.delete(id)
  for (const one of await readSetFacts(database, which)) facts.set(one.id, one)
  for (const [id, one] of await readDueFacts(database, which)) dueFacts.set(id, one)
  return { number, facts, dueFacts, changed: ids }
}

async function brought(
  database: Database,
  kept: Kept | null,
  settings: Settings,
  key: string,
  now: Date,
): Promise<Kept> {
  const { changed, ...known } = await knownOf(database, kept)
  // On another day everything is followed anew; what was learnt is where the next begins.
  if (kept?.key !== key) return forecastAll({ ...known, key, followed: new Map() }, settings, now, kept)
  if (changed.length === 0) return kept
  const followed = new Map(kept.followed)
  for (const id of changed) followed.delete(id)
  return forecastAll({ ...known, key, followed }, settings, now, kept)
}

/**
 * Everything that is forecast, as of now. The first call reads all sets; after that only those that have changed are read, and, but for
 * the first call of a day, followed and learnt from anew. One call at a time.
 */
export async function protectionRoom(database: Database, now: Date): Promise<ProtectionRoom> {
  const settings = await readSettings(database)
  const until = endOfDay(now)
  const key = JSON.stringify([until, settings.estimates, regionOf(settings)])
  const before = rooms.get(database)
  const next = (before ?? Promise.resolve(null))
    .catch(() => null)
    .then((kept) => brought(database, kept, settings, key, until))
  rooms.set(database, next)
  return next
}
