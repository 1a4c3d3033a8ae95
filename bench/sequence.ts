// Sequencing against the best finish times known: ratios in one run on this machine, one core.
import { readFileSync } from 'node:fs'
import { solveSequence } from '@/core/sequence/solve'
import { faultsOf } from '@/core/sequence/problem/verify'
import { problemOf, type SequenceFile } from '@/contracts/sequenceFile'

interface Known {
  readonly instance: SequenceFile
  readonly best_known_s: number
  readonly lower_bound_s: number
  readonly plain_order_s: number
  readonly best_one_wheel_at_a_time_s: number
}

const known = JSON.parse(readFileSync(process.argv[2] ?? 'bench/sequence-instances.json', 'utf8')) as Known[]
const marks = { 1: [0.3, 1, 5], 2: [2, 5] } as const
const rows: { people: 1 | 2; id: string; ratios: number[]; one: number }[] = []
const out = (text: string) => process.stdout.write(`${text}\n`)
const percent = (ratio: number) =>
  (Number.isFinite(ratio) ? `${ratio >= 0 ? '+' : ''}${(ratio * 100).toFixed(2)} %` : 'none').padStart(9)

// Warm the engine with one instance, so that the first is not measured cold.
for (const one of solveSequence(problemOf((known[0] as Known).instance), 3_000)) void one
out('instance              after           against best known   bound   gap      plain order  end in')
for (const { instance, best_known_s, lower_bound_s, plain_order_s, best_one_wheel_at_a_time_s } of known) {
  const problem = problemOf(instance)
  const people = instance.workers === 1 ? 1 : 2
  const until = marks[people]
  const running = solveSequence(problem, Infinity)
  const began = performance.now()
  const at = until.map(() => Infinity)
  let step = running.next()
  let last = 0
  for (;;) {
    const passed = (performance.now() - began) / 1000
    const end = step.value.schedule?.makespanSeconds ?? Infinity
    until.forEach((mark, index) => {
      if (passed <= mark) at[index] = end
    })
    last = passed
    if (step.done || passed > (until.at(-1) as number)) break
    step = running.next()
  }
  const { schedule, lowerBoundSeconds } = step.value
  if (!schedule) throw new Error(`${instance.id}: no schedule`)
  const faults = faultsOf(problem, schedule)
  if (faults.length > 0) throw new Error(`${instance.id}: ${faults.join(' ')}`)
  if (lowerBoundSeconds > Math.min(best_known_s, schedule.makespanSeconds))
    throw new Error(`${instance.id}: the bound ${lowerBoundSeconds} is above ${best_known_s}`)
  const ratios = at.map((end) => end / best_known_s - 1)
  rows.push({ people, id: instance.id, ratios, one: schedule.makespanSeconds / best_one_wheel_at_a_time_s })
  out(
    `${instance.id.padEnd(20)} ${until.map((mark, index) => `${mark} s ${percent(ratios[index] as number)}`).join('  ')}  ${String(lowerBoundSeconds).padStart(5)} (${lower_bound_s}) ${percent(schedule.makespanSeconds / lowerBoundSeconds - 1)}  ${(schedule.makespanSeconds / plain_order_s).toFixed(3)}  ${last.toFixed(1)} s`,
  )
}
const one = rows.filter(({ people }) => people === 1)
const two = rows.filter(({ people }) => people === 2)
const small = one.filter(({ id }) => id.startsWith('N2'))
const within = (list: typeof rows, index: number, most: number) =>
  list.filter(({ ratios }) => (ratios[index] as number) <= most).length
const mean = (list: typeof rows, index: number) =>
  list.reduce((sum, { ratios }) => sum + (ratios[index] as number), 0) / list.length
out('')
out(`one person, within 1 % after 1 s: ${within(one, 1, 0.01)} of ${one.length} (nine of ten wanted)`)
out(`one person, within 3 % after 5 s: ${within(one, 2, 0.03)} of ${one.length} (all wanted)`)
out(
  `one and two wheels, as short as the best after 0.3 s: ${within(small, 0, 0)} of ${small.length} (all wanted)`,
)
out(
  `two people after 2 s: ${percent(mean(two, 0))} on average (0 or below wanted), worst ${percent(Math.max(...two.map(({ ratios }) => ratios[0] as number)))} (at most 5 wanted)`,
)
out(`never longer than the best one-wheel-at-a-time order: ${rows.every((row) => row.one <= 1)}`)
out(
  JSON.stringify({
    missedOnePercent: 1 - within(one, 1, 0.01) / one.length,
    missedThreePercent: one.length - within(one, 2, 0.03),
    missedSmall: small.length - within(small, 0, 0),
    twoMean: 1 + mean(two, 0),
    twoWorst: 1 + Math.max(...two.map(({ ratios }) => ratios[0] as number)),
    longerThanOneAtATime: rows.filter((row) => row.one > 1).length,
  }),
)
