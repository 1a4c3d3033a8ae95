import { message, type Said } from '@/core/message/message'
import { printError } from '@/i18n/terminal'
import { reasonOf } from '@/core/reasonOf'
import { parseArgs } from 'node:util'
import { brokenLagOf, helpFor } from '@/core/sequence/explainInfeasible'
import { solveSequence } from '@/core/sequence/solve'
import { faultsOf } from '@/core/sequence/problem/verify'
import { readSequenceText, writeSchedule } from '@/contracts/sequenceFile'
import { readInput, refuse } from './files'

const wrongUse = (reason: Said): never => {
  printError(reason)
  printError(message('commands.sequence.usage'))
  process.exit(2)
}

function readArguments(): { name: string; seconds: number | null } {
  try {
    const { values, positionals } = parseArgs({
      options: { seconds: { type: 'string' } },
      allowPositionals: true,
    })
    const [name] = positionals
    if (name === undefined || positionals.length > 1) return wrongUse(message('commands.sequence.oneFile'))
    if (values.seconds === undefined) return { name, seconds: null }
    const seconds = Number(values.seconds)
    if (!(seconds > 0 && seconds <= 600))
      return wrongUse(message('commands.sequence.seconds', { found: values.seconds }))
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
  printError(
    broken
      ? message('commands.sequence.broken', {
          place: broken.place,
          to: broken.to,
          from: broken.from,
          why: broken.why,
          max: broken.maxSeconds,
          help: helpFor(broken),
        })
      : message('commands.sequence.noOrder'),
  )
  process.exit(3)
}
if (!schedule) {
  printError(message('commands.sequence.moreTime'))
  process.exit(3)
}
const faults = faultsOf(problem, schedule)
if (faults.length > 0) throw new Error(`The schedule does not hold: ${faults.join(' ')}`)
process.stdout.write(`${JSON.stringify(writeSchedule(schedule, lowerBoundSeconds))}\n`)
