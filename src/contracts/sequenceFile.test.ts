import { inEnglish } from '@/i18n/testEnglish'
import { describe, expect, it } from 'vitest'
import { readSequenceText, sequenceFormat, writeSchedule } from './sequenceFile'

const good = {
  format: sequenceFormat,
  id: 'two wheels',
  workers: 1,
  max_workers_per_wheel: 2,
  tool_change_s: 4,
  single_tools: ['gun'],
  wheels: ['FL', 'FR'],
  walk_s: [
    [0, 6],
    [6, 0],
  ],
  ops: [
    { id: 0, wheel: 0, name: 'spray', dur_s: 20, tool: 'sprayer' },
    { id: 1, wheel: 0, name: 'rinse', dur_s: 30, tool: 'gun' },
    { id: 2, wheel: 1, name: 'dry', dur_s: 40, tool: 'towel' },
  ],
  lags: [{ a: 0, b: 1, min_s: 60, max_s: 120, why: 'wet' }],
}
const read = (changes: object = {}) => readSequenceText(JSON.stringify({ ...good, ...changes }))
const problemOf = (changes: object) => {
  const result = read(changes)
  return result.ok ? null : inEnglish(result.problems)[0]
}

describe('a sequencing problem as a file', () => {
  it('is read with its times and limits', () => {
    const result = read()
    expect(result.ok && result.value).toMatchObject({
      places: ['FL', 'FR'],
      people: 1,
      toolChangeSeconds: 4,
      lags: [{ from: 0, to: 1, minSeconds: 60, maxSeconds: 120 }],
    })
  })

  it('may begin with a byte order mark', () => {
    expect(readSequenceText(`\uFEFF${JSON.stringify(good)}`).ok).toBe(true)
  })

  it.each([
    ['no people', { workers: 0 }],
    ['half a person', { workers: 1.5 }],
    ['three people', { workers: 3 }],
    ['another format', { format: 'other/1' }],
    ['no wheels', { wheels: [] }],
    ['no operations', { ops: [] }],
    ['ways for fewer wheels', { walk_s: [[0]] }],
    ['200 wheels', { wheels: Array.from({ length: 200 }, (_, at) => `W${at}`) }],
    ['a limit below its least', { lags: [{ a: 0, b: 1, min_s: 90, max_s: 30 }] }],
    ['an operation at no wheel', { ops: [{ ...good.ops[0], wheel: 7 }, good.ops[1], good.ops[2]] }],
    ['ids that do not count up', { ops: [good.ops[0], { ...good.ops[1], id: 5 }, good.ops[2]] }],
    ['a lag to nothing', { lags: [{ a: 0, b: 9, min_s: 0, max_s: null }] }],
    [
      'a cycle',
      {
        lags: [
          { a: 0, b: 1, min_s: 0, max_s: null },
          { a: 1, b: 0, min_s: 0, max_s: null },
        ],
      },
    ],
  ])('with %s is refused, and says what to fix', (_, changes) => {
    const problem = problemOf(changes)
    expect(problem).not.toBeNull()
    expect(problem?.fix.length).toBeGreaterThan(10)
  })

  it('that is no JSON says so', () => {
    const result = readSequenceText('{"format":')
    expect(!result.ok && inEnglish(result.problems)[0]?.fix).toContain('not JSON')
  })
})

it('a schedule is written with a bound no higher than its own end', () => {
  const schedule = { makespanSeconds: 100, startSeconds: [0, 20, 60], person: [0, 0, 0] }
  expect(writeSchedule(schedule, 99.2)).toEqual({
    makespan_s: 100,
    start_s: [0, 20, 60],
    worker: [0, 0, 0],
    lower_bound_s: 100,
  })
})
