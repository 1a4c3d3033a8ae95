import { reasonOf } from '@/core/reasonOf'
import { parseArgs } from 'node:util'
import { brokenLagOf, helpFor } from '@/core/sequence/explainInfeasible'
import { solveSequence } from '@/core/sequence/solve'
import { faultsOf } from '@/core/sequence/problem/verify'
import { readSequenceText, writeSchedule } from '@/contracts/sequenceFile'
import { readInput, refuse } from './files'

const usage =
  'Usage: npm run -s sequence -- FILE.json [--seconds 2]   (or - to read from standard input)\n' +
  'Prints the best schedule found in the time; without --seconds in a fixed amount of work, the same on every machine.'

const wrongUse = (reason: string): never => {
  process.stderr.write(`${reason}\n${usage}\n`)
  process.exit(2)
}

function readArguments(): { name: string; seconds: number | null } {
  try {
    const { values, positionals } = parseArgs({
      options: { seconds: { type: 'string' } },
      allowPositionals: true,
    })
    const [name] = positionals
    if (name === undefined || positionals.length > 1) return wrongUse('Name one file.')
    if (values.seconds === undefined) return { name, seconds: null }
    const seconds = Number(values.seconds)
    if (!(seconds > 0 && seconds <= 600))
      return wrongUse(`--seconds: found ${values.seconds}. Give a number above 0, up to 600.`)
    return { name, seconds }
  } catch (error) {
    return wrongUse(reasonOf(error))
  }
}

const { name, seconds } = readArguments()
const read = readSequenceText(readInput(name))
if (!read.ok) refuse(read.problems)
const problem = read.value
const began = performance.now()
const running = solveSequence(problem, seconds === null ? undefined : Infinity)
let step = running.next()
while (!step.done && (seconds === null || performance.now() - began < seconds * 1000)) step = running.next()
const { schedule, lowerBoundSeconds } = step.value
if (step.done && step.value.isInfeasible) {
  const [place] = step.value.places
  const broken = place === undefined ? null : brokenLagOf(problem, place)
  process.stderr.write(
    broken
      ? `${broken.place}: ${broken.to} has to start at most ${broken.maxSeconds} s after ${broken.from} (${broken.why}), and that cannot be kept. ${helpFor(broken)}\n`
      : 'No order keeps all lags between the wheels.\n',
  )
  process.exit(3)
}
if (!schedule) {
  process.stderr.write('No order was found in the time; allow more with --seconds.\n')
  process.exit(3)
}
const faults = faultsOf(problem, schedule)
if (faults.length > 0) throw new Error(`The schedule does not hold: ${faults.join(' ')}`)
process.stdout.write(`${JSON.stringify(writeSchedule(schedule, lowerBoundSeconds))}\n`)
