// Two people under tight limits: what the plan's page gets, against a long look. Prints a line an instance, then JSON.
import { Draws } from '@/core/sequence/problem/seededRandom'
import type { Lag, Operation, SequenceProblem } from '@/core/sequence/problem/problem'
import { planEffort, solveWithin } from '@/core/order/orderPlan'

const longLook = 600_000
const instances = 24

/** Alike wheels of one to three rounds; label and film leave up to forty seconds more than the work itself takes. */
function tightProblem(seed: number): SequenceProblem {
  const draws = new Draws(seed)
  const between = (least: number, most: number): number => least + draws.draw(most - least + 1)
  const places = between(3, 5)
  const rounds = Array.from({ length: between(1, 3) }, () => ({
    spray: between(10, 29),
    dwell: between(30, 209),
    brush: between(30, 149),
    rinse: between(15, 44),
    slack: between(0, 40),
  }))
  const operations: Operation[] = []
  const lags: Lag[] = []
  const add = (place: number, name: string, durationSeconds: number, tool: string): number =>
    operations.push({ id: operations.length, place, name, durationSeconds, tool }) - 1
  for (let place = 0; place < places; place += 1) {
    let before: number | null = null
    for (const round of rounds) {
      const spray = add(place, 'spray', round.spray, 'sprayer')
      const brush = add(place, 'brush', round.brush, 'brush')
      const rinse = add(place, 'rinse', round.rinse, 'gun')
      if (before !== null)
        lags.push({ from: before, to: spray, minSeconds: 0, maxSeconds: null, why: 'order' })
      const label = round.dwell + round.brush + round.slack + 16
      lags.push(
        {
          from: spray,
          to: brush,
          minSeconds: round.dwell,
          maxSeconds: round.dwell + round.slack,
          why: 'wet',
        },
        { from: brush, to: rinse, minSeconds: 0, maxSeconds: null, why: 'order' },
        { from: spray, to: rinse, minSeconds: 0, maxSeconds: label, why: 'label' },
      )
      before = rinse
    }
  }
  return {
    places: Array.from({ length: places }, (_, at) => `wheel ${at + 1}`),
    operations,
    lags,
    people: 2,
    peoplePerPlace: between(1, 2),
    singleTools: draws.draw(2) === 0 ? ['gun'] : ['gun', 'brush'],
    walkSeconds: Array.from({ length: places }, (_, a) =>
      Array.from({ length: places }, (_, b) => (a === b ? 0 : 6)),
    ),
    toolChangeSeconds: 4,
  }
}

let worst = 0
let missed = 0
for (let seed = 1; seed <= instances; seed += 1) {
  const problem = tightProblem(seed)
  const usual = solveWithin(problem, planEffort(2)).schedule?.makespanSeconds ?? Infinity
  const long = solveWithin(problem, longLook).schedule?.makespanSeconds ?? Infinity
  const ratio = usual === long ? 1 : usual / long
  worst = Math.max(worst, ratio)
  if (ratio > 1.05) missed += 1
  const size = `${problem.places.length} wheels, ${problem.operations.length} steps`
  process.stdout.write(`${size}: ${usual} s in the default work, ${long} s in a long look\n`)
}
process.stdout.write(`${JSON.stringify({ instances, missed, worst })}\n`)
