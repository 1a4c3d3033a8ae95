import type { FactsChange, ForecastBasis } from '@/core/forecast'
import {
  type Asked,
  type Evidence,
  Forecaster,
  knowsOther,
  type News,
  type Questions,
} from '@/core/forecaster'
import { winterMonths } from '@/core/soils/winter'
import type { Settings } from '@/contracts/settings'
import type { Database } from '@/data/database'
import { readDueFacts } from '@/data/queries/due/dueFacts'
import { changedSets, listSetIds, readSetFacts, type SeenChanges } from '@/data/queries/forecast/setFacts'
import { readSettings } from '@/data/queries/settings'
import { onForecaster } from '@/pool/forecasterThread'

/** What the forecaster has been told of a database. */
interface Telling {
  /** Names the records for the forecaster, which may be told of others. */
  readonly records: string
  number: number | null
  seen: SeenChanges
  /** News go out one after the other. */
  turn: Promise<unknown>
  /** Where no thread was built: in tests and commands. */
  readonly here: Forecaster
}

/** Next bundles modules more than once; a process needs one only. */
const shared = globalThis as typeof globalThis & {
  evenSpokeTellings?: WeakMap<Database, Telling>
  evenSpokeTold?: number
}
const tellings = (shared.evenSpokeTellings ??= new WeakMap())

function tellingOf(database: Database): Telling {
  const known = tellings.get(database)
  if (known) return known
  shared.evenSpokeTold = (shared.evenSpokeTold ?? 0) + 1
  const telling: Telling = {
    records: String(shared.evenSpokeTold),
    number: null,
    seen: new Map(),
    turn: Promise.resolve(),
    here: new Forecaster(),
  }
  tellings.set(database, telling)
  return telling
}

/** What was forecast is of other data now. */
export const forgetForecast = (database: Database): void => {
  tellings.delete(database)
}

/** So many sets are read at once; between them others get their turn. */
const setsAtOnce = 100

const millisecondsPerDay = 86_400_000
/** Forecasts are made for the end of the day, so that everything of today is known in them. */
const endOfDay = (now: Date): Date =>
  new Date(Math.ceil((now.getTime() + 1) / millisecondsPerDay) * millisecondsPerDay)

const basisOf = ({ winterMonths: own, salt, northern, estimates }: Settings, now: Date): ForecastBasis => ({
  until: endOfDay(now),
  estimates,
  region: { winterMonths: own ?? winterMonths[northern ? 'northern' : 'southern'], salt },
})

async function changeOf(database: Database, ids: readonly string[]): Promise<FactsChange> {
  return {
    changed: ids,
    facts: await readSetFacts(database, ids),
    dueFacts: await readDueFacts(database, ids),
  }
}

const hear = ({ here }: Telling, news: News): Promise<boolean> =>
  onForecaster('hear', news, () => here.hear(news))

/** Tells everything, a part of the sets at a time. */
async function tellAll(database: Database, telling: Telling): Promise<void> {
  const { number, seen } = await changedSets(database, -1, new Map())
  const ids = await listSetIds(database)
  const { records } = telling
  for (let at = 0; at === 0 || at < ids.length; at += setsAtOnce) {
    const change = await changeOf(database, ids.slice(at, at + setsAtOnce))
    await hear(telling, { records, from: at === 0 ? null : number, number, change })
  }
  telling.number = number
  telling.seen = seen
}

/** Tells what has changed since it was told last. */
async function tellNews(database: Database, telling: Telling): Promise<void> {
  if (telling.number === null) return tellAll(database, telling)
  const { ids, number, seen } = await changedSets(database, telling.number, telling.seen)
  if (ids.length === 0) return
  const { records, number: from } = telling
  const heard = await hear(telling, { records, from, number, change: await changeOf(database, ids) })
  if (!heard) return tellAll(database, telling)
  telling.number = number
  telling.seen = seen
}

/** A thread that came anew knows nothing; it is told again, but not for ever. */
const maxTellings = 3

/**
 * Asks the forecast of all sets. The first question reads all sets; after that only those that have changed are read, and, but for the
 * first question of a day, followed and learnt from anew.
 */
export async function askForecast<Name extends keyof Questions>(
  database: Database,
  now: Date,
  name: Name,
  asked: Asked<Name>,
): Promise<Evidence<Name>> {
  const basis = basisOf(await readSettings(database), now)
  const telling = tellingOf(database)
  for (let round = 0; round < maxTellings; round += 1) {
    const told = (telling.turn = telling.turn.catch(() => undefined).then(() => tellNews(database, telling)))
    await told
    const { records } = telling
    const answer = await onForecaster('ask', { records, name, basis, asked }, () =>
      telling.here.ask({ records, name, basis, asked }),
    )
    if (answer !== knowsOther) return answer as Evidence<Name>
    telling.number = null
  }
  throw new Error('The forecast was lost again and again.')
}
