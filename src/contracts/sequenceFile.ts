import { issueText } from './issueText'
import * as v from 'valibot'
import type { Result } from '@/core/result'
import { checkProblem, maxOperations, maxPlaces } from '@/core/sequence/problem/checkProblem'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { list, listOf, wholeNumberFrom } from './fields'
import { readJsonText } from './jsonText'
import { parse } from './problems'

export const sequenceFormat = 'wheel-rcpsp-max/1'

const tooManyPlaces = issueText('fields.tooManyWheels', { most: maxPlaces })
const seconds = wholeNumberFrom(0, 1_000_000, 'seconds')
const index = wholeNumberFrom(0, 10_000)

/** A sequencing problem as a file. Times in whole seconds. */
export const sequenceFile = v.object({
  format: v.literal(sequenceFormat, issueText('problems.file.format', { format: sequenceFormat })),
  id: v.optional(v.string(), ''),
  workers: v.number(),
  max_workers_per_wheel: v.optional(wholeNumberFrom(1, 10), 2),
  tool_change_s: v.optional(seconds, 0),
  single_tools: v.optional(list(v.string(), 100, 'tools'), []),
  wheels: v.pipe(
    listOf(v.string(), maxPlaces, tooManyPlaces),
    v.minLength(1, issueText('problems.sequence.noWheels')),
  ),
  walk_s: listOf(listOf(seconds, maxPlaces, tooManyPlaces), maxPlaces, tooManyPlaces),
  ops: v.pipe(
    listOf(
      v.object({ id: index, wheel: index, name: v.string(), dur_s: seconds, tool: v.string() }),
      maxOperations,
      issueText('problems.sequence.tooMany', { most: maxOperations }),
    ),
    v.minLength(1, issueText('problems.sequence.noOperations')),
  ),
  lags: list(
    v.object({
      a: index,
      b: index,
      min_s: seconds,
      max_s: v.nullable(seconds),
      why: v.optional(v.string(), 'order'),
    }),
    100_000,
    'lags',
  ),
})

export type SequenceFile = v.InferOutput<typeof sequenceFile>

export const problemOf = (file: SequenceFile): SequenceProblem => ({
  places: file.wheels,
  operations: file.ops.map(({ id, wheel, name, dur_s, tool }) => ({
    id,
    place: wheel,
    name,
    durationSeconds: dur_s,
    tool,
  })),
  lags: file.lags.map(({ a, b, min_s, max_s, why }) => ({
    from: a,
    to: b,
    minSeconds: min_s,
    maxSeconds: max_s,
    why,
  })),
  people: file.workers,
  peoplePerPlace: file.max_workers_per_wheel,
  singleTools: file.single_tools,
  walkSeconds: file.walk_s,
  toolChangeSeconds: file.tool_change_s,
})

/** Reads a problem from text: syntax, shape, and whether it makes sense. */
export function readSequenceText(text: string): Result<SequenceProblem> {
  const json = readJsonText(text)
  if (!json.ok) return json
  const file = parse(sequenceFile, json.value)
  return file.ok ? checkProblem(problemOf(file.value)) : file
}

/** A schedule as a file: per operation its start and who does it. */
export const writeSchedule = (schedule: Schedule, lowerBoundSeconds: number) => ({
  makespan_s: schedule.makespanSeconds,
  start_s: schedule.startSeconds,
  worker: schedule.person,
  lower_bound_s: Math.min(schedule.makespanSeconds, Math.ceil(lowerBoundSeconds)),
})
