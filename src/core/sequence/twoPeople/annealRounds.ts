import type { Pair } from '@/core/sequence/merging/anneal'
import { patient, quick } from './patience'
import { offerPair, pairsOfShares, shiftedPair } from './shareOut'
import type { Search, Standing } from '@/core/sequence/search/search'

/** A first round for every pair: moves tried, heat at its beginning and end as a share of the whole time. */
const firstRound = { tries: 15_000, hot: 0.001, cold: 0.00015 }
const shortRound = { ...firstRound, tries: 3_000 }
/** In a moment there is one round a pair: it starts warm, or tight limits keep it where its shares began. */
const onlyRound = { tries: 15_000, hot: 0.006, cold: 0.0002 }
/** What follows, in turn: short and cool rounds better what is there, long and hot ones come upon something else. */
const laterRounds = [
  { tries: 15_000, hot: 0.0015, cold: 0.00015 },
  { tries: 60_000, hot: 0.02, cold: 0.0005 },
  { tries: 15_000, hot: 0.001, cold: 0.00015 },
  { tries: 60_000, hot: 0.01, cold: 0.001 },
]
const quickRounds = [
  { tries: 60_000, hot: 0.05, cold: 0.0003 },
  { tries: 15_000, hot: 0.0015, cold: 0.00015 },
  { tries: 60_000, hot: 0.02, cold: 0.0005 },
]
/** Rounds after which it is left to the layered search. */
const maxRounds = 100
/** A pair so much longer than the best is not worked on, as a share. */
const tooLong = 0.06

/** Two people: anneals each pair of orders as it is made, then all of them again, at other heats and by other moves. */
export function* annealRounds(search: Search, isOver: () => boolean): Generator<Standing, void> {
  const pairs: Pair[] = []
  let round = 0
  let best = null as Pair | null

  function* work(pair: Pair, heat: typeof firstRound): Generator<Standing, void> {
    round += 1
    for (const found of search.annealer.anneal(pair, { ...heat, seed: round })) {
      if (found && offerPair(search, found)) best = found
      if (isOver()) return
      yield search.standing()
    }
  }
  const plain = plainPair(search)
  if (plain) offerPair(search, plain)
  for (const patience of search.isQuick ? [quick] : [quick, patient])
    for (const made of pairsOfShares(search, patience)) {
      if (search.best && isOver()) return
      if (!('orders' in made)) {
        yield made
        continue
      }
      offerPair(search, made)
      if (!search.best || made.makespanSeconds > search.best.makespanSeconds * (1 + tooLong)) continue
      pairs.push(made)
      // With time at hand the first pairs are only a beginning.
      yield* work(made, search.isQuick ? onlyRound : patience === quick ? shortRound : firstRound)
    }
  if (pairs.length === 0 && plain) pairs.push(plain)
  const rounds = search.isQuick ? quickRounds : laterRounds
  while (pairs.length > 0 && round < maxRounds && !isOver()) {
    yield* work(
      round % 2 === 0 && best ? best : (pairs[(round >> 1) % pairs.length] as Pair),
      rounds[round % rounds.length] as typeof firstRound,
    )
  }
}

/** Each takes half of the wheels, one finished before the next. */
function plainPair(search: Search): Pair | null {
  const { problem, annealer } = search
  const half = Math.ceil(problem.places.length / 2)
  const idsOf = (isMine: (place: number) => boolean): number[] =>
    problem.operations.flatMap(({ id, place }) => (isMine(place) && !problem.done?.has(id) ? [id] : []))
  const [first, second] = [idsOf((place) => place < half), idsOf((place) => place >= half)]
  return annealer.pair([first, second], Infinity) ?? shiftedPair(search, first, second)
}
