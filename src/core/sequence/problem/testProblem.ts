import fc from 'fast-check'
import { scheduleOf } from './schedule'
import type { Lag, Operation, SequenceProblem } from './problem'

/** A wheel of one chemical: spray, dwell, brush, rinse before it dries, dry. */
export const smallProblem = (changes: Partial<SequenceProblem> = {}, wheels = 2): SequenceProblem => {
  const operations: Operation[] = []
  const lags: Lag[] = []
  const add = (place: number, name: string, durationSeconds: number, tool: string): number => {
    operations.push({ id: operations.length, place, name, durationSeconds, tool })
    return operations.length - 1
  }
  for (let place = 0; place < wheels; place += 1) {
    const spray = add(place, 'spray', 20, 'sprayer')
    const brush = add(place, 'brush', 60, 'brush')
    const rinse = add(place, 'rinse', 30, 'gun')
    const dry = add(place, 'dry', 40, 'towel')
    lags.push(
      { from: spray, to: brush, minSeconds: 60, maxSeconds: null, why: 'dwell' },
      { from: brush, to: rinse, minSeconds: 0, maxSeconds: null, why: 'order' },
      { from: spray, to: rinse, minSeconds: 0, maxSeconds: 240, why: 'wet' },
      { from: rinse, to: dry, minSeconds: 0, maxSeconds: null, why: 'order' },
    )
  }
  return {
    places: Array.from({ length: wheels }, (_, at) => `wheel ${at + 1}`),
    operations,
    lags,
    people: 1,
    peoplePerPlace: 2,
    singleTools: ['gun'],
    walkSeconds: Array.from({ length: wheels }, (_, a) =>
      Array.from({ length: wheels }, (_, b) => (a === b ? 0 : 6)),
    ),
    toolChangeSeconds: 4,
    ...changes,
  }
}

/** Small problems of every kind: few operations, any precedence, tight and loose limits, one or two people. */
export const anyProblem = (maxOperations: number, people: 1 | 2): fc.Arbitrary<SequenceProblem> =>
  fc
    .record({
      count: fc.integer({ min: 1, max: maxOperations }),
      places: fc.integer({ min: 1, max: 3 }),
      perPlace: fc.constantFrom(1, 2),
      change: fc.integer({ min: 0, max: 6 }),
      walk: fc.integer({ min: 0, max: 12 }),
      seed: fc.array(fc.nat(1000), { minLength: 80, maxLength: 80 }),
    })
    .map(({ count, places, perPlace, change, walk, seed }) => {
      let next = 0
      const draw = (most: number): number => (seed[next++ % seed.length] as number) % (most + 1)
      const tools = ['sprayer', 'brush', 'gun']
      const operations = Array.from({ length: count }, (_, id) => ({
        id,
        place: draw(places - 1),
        name: `step ${id}`,
        durationSeconds: 1 + draw(20),
        tool: tools[draw(2)] as string,
      }))
      const lags: Lag[] = []
      for (let to = 1; to < count; to += 1) {
        for (let from = 0; from < to; from += 1) {
          const kind = draw(5)
          if (kind === 0) lags.push({ from, to, minSeconds: draw(15), maxSeconds: null, why: 'dwell' })
          if (kind === 1) {
            const minSeconds = draw(10)
            lags.push({ from, to, minSeconds, maxSeconds: minSeconds + draw(40), why: 'wet' })
          }
        }
      }
      return {
        places: Array.from({ length: places }, (_, at) => `place ${at}`),
        operations,
        lags,
        people,
        peoplePerPlace: perPlace,
        singleTools: ['gun'],
        walkSeconds: Array.from({ length: places }, (_, a) =>
          Array.from({ length: places }, (_, b) => (a === b ? 0 : walk + ((a + b) % 3))),
        ),
        toolChangeSeconds: change,
      }
    })

/** The shortest end over every order and every sharing of the work, tried one by one; infinite where none keeps all lags. */
export function shortestByTrying(problem: SequenceProblem): number {
  const { operations, lags, people } = problem
  const done = problem.done ?? new Map<number, number>()
  let best = Infinity
  const order: number[] = []
  const who: number[] = []
  const used = new Set<number>()
  const extend = (): void => {
    if (order.length === operations.length - done.size) {
      best = Math.min(
        best,
        scheduleOf(problem, { operations: order, people: who })?.makespanSeconds ?? Infinity,
      )
      return
    }
    for (const { id } of operations) {
      if (used.has(id) || done.has(id)) continue
      if (lags.some(({ from, to }) => to === id && !used.has(from) && !done.has(from))) continue
      for (let person = 0; person < people; person += 1) {
        used.add(id)
        order.push(id)
        who.push(person)
        extend()
        used.delete(id)
        order.pop()
        who.pop()
      }
    }
  }
  extend()
  return best
}
