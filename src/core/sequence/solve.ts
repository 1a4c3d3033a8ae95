import { itemAt } from '@/core/sequence/problem/packed'
import { annealRounds } from '@/core/sequence/twoPeople/annealRounds'
import { LayeredSearch } from '@/core/sequence/layers/layeredSearch'
import { Search, silently, type Standing } from '@/core/sequence/search/search'
import { searchProfiles } from '@/core/sequence/search/searchProfiles'
import { improve } from '@/core/sequence/search/improve'
import { bestRound } from '@/core/sequence/layers/onePlace'
import { prepare, type Prepared } from '@/core/sequence/problem/prepared'
import type { SequenceProblem } from '@/core/sequence/problem/problem'

export interface SearchAnswer extends Standing {
  /** True when every order is broken by some lag; then `places` names where that shows. */
  readonly isInfeasible: boolean
  /** Places whose own lags cannot be kept even if nothing else is worked at. */
  readonly places: readonly number[]
}

/** States to look into before the search rests; about a second on one core of 2020. */
export const usualEffort = 120_000

/** So few operations are searched through as a whole, wherever they are. */
const smallCount = 14
/** The last manner lets everything be, so that what it cuts is a bound. */
const freeManner = searchProfiles.length - 1
const widths = [60, 120, 240, 480, 960, 1920, 4000, 8000, 16_000]
const narrow = 50
/** Less effort than this is a moment. */
const quickEffort = 100_000
/** Two people whose order is still this share above its bound in a moment get so many times the effort: their limits are tight. */
const far = 0.3
const effortWhereFar = 3
const quickWidths = [12, 25]
const tinyWidths = [narrow, 4000, 16_000]

/**
 * The order of work that ends first, better and better. Deterministic: what it yields depends on the problem alone, and a caller
 * may stop it at any time with the best so far in hand.
 * @param effort states to look into before it rests, three times as many where two people's order found in a moment is
 * still far from its bound; infinite: until it is proven or no wider search is left
 */
export function* solveSequence(
  problem: SequenceProblem,
  effort: number = usualEffort,
): Generator<Standing, SearchAnswer> {
  const prepared = prepare(problem)
  const layers = new LayeredSearch(prepared)
  const alone = prepared.people === 1 ? layers : new LayeredSearch(prepare({ ...problem, people: 1 }))
  const search = new Search(problem, prepared, layers, alone, effort < quickEffort, solveSequence)
  const end = (isInfeasible: boolean, places: readonly number[] = []): SearchAnswer => ({
    ...search.standing(),
    isInfeasible,
    places,
  })
  const stuck = yield* stuckPlaces(search)
  if (stuck.length > 0) return end(true, stuck)
  const isSmall = prepared.count - (problem.done?.size ?? 0) <= smallCount
  const isTiny = isSmall || layers.places.filter(({ start }) => start.remainingCount > 0).length <= 2
  const crosses = problem.lags.some(({ from, to }) => prepared.place[from] !== prepared.place[to])
  const isFar = (): boolean =>
    search.isQuick &&
    prepared.people > 1 &&
    search.lowerBoundSeconds < (1 - far) * (search.best?.makespanSeconds ?? Infinity)
  const isOver = (): boolean =>
    search.isProven || (search.effort >= effort && !(isFar() && search.effort < effortWhereFar * effort))
  const round = function* (): Generator<Standing, void> {
    if (!crosses) search.offer(yield* silently(bestRound(layers, prepared), search))
  }
  // With little to do all of it is searched through before the best round of one place after the other is worked out.
  if (prepared.people === 1 && !isTiny) yield* round()
  // Shares know nothing of what is wet already; from the middle the layered search goes on with both people.
  const isFresh = (problem.done?.size ?? 0) === 0
  if (prepared.people > 1 && !isSmall && isFresh) yield* annealRounds(search, isOver)
  const wider = search.isQuick ? [...quickWidths, ...widths] : widths
  const tiny = search.isQuick && !isSmall ? [itemAt(quickWidths, 0), ...tinyWidths] : tinyWidths
  for (const width of isTiny ? tiny : wider) {
    for (const [at, manner] of searchProfiles.entries()) {
      if (isOver()) return end(false)
      if (isTiny && width > narrow && at !== freeManner) continue
      // Where an order is known already the most careful manner finds no better one.
      if (at === 0 && search.best && !isTiny) continue
      const exact = at === freeManner && (prepared.people === 1 || isTiny)
      const found = yield* search.pass({
        width,
        ...manner,
        ...(exact && isTiny ? { share: 1, doubt: 0 } : {}),
        anyOrder: exact && prepared.people > 1,
      })
      search.offer(found.best)
      if (exact) {
        const sure = Math.min(found.lowerBoundSeconds, search.best?.makespanSeconds ?? Infinity)
        if (sure === Infinity) return end(true)
        search.lowerBoundSeconds = Math.max(search.lowerBoundSeconds, sure)
      }
    }
    if (isOver()) return end(false)
    if (isTiny) {
      if (prepared.people === 1 && width > narrow) yield* round()
    } else yield* improve(search, Math.max(20, Math.round(width / 4)), isOver)
  }
  return end(false)
}

/** Places where the lags cannot be kept even with all hands there and nothing else to do. */
function* stuckPlaces(search: Search): Generator<Standing, number[]> {
  const { layers, prepared } = search
  const stuck: number[] = []
  const fine = new Set<string>()
  for (const [place, progress] of layers.places.entries()) {
    const kind = layers.kinds[place] as string
    if (progress.start.remainingCount === 0 || fine.has(kind) || needsOthers(prepared, place)) continue
    let isFine = false
    // Two people can do what one can.
    const one = search.alone.pass({ width: 20, onlyPlaces: [place], below: Infinity })
    isFine = (yield* silently(one, search)).best !== null
    for (const width of [20, 300, 5000]) {
      if (isFine) break
      const found = yield* search.pass({ width, onlyPlaces: [place], anyOrder: true })
      isFine = found.best !== null
      if (found.lowerBoundSeconds === Infinity) break
    }
    if (isFine) fine.add(kind)
    else stuck.push(place)
  }
  return stuck
}

const needsOthers = ({ problem, place: placeOf }: Prepared, place: number): boolean =>
  problem.lags.some(({ from, to }) => (placeOf[to] === place) !== (placeOf[from] === place))
