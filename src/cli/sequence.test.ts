import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { faultsOf } from '@/core/sequence/problem/verify'
import { problemOf, type SequenceFile } from '@/contracts/sequenceFile'

interface Known {
  readonly instance: SequenceFile
  readonly best_known_s: number
}
const known = JSON.parse(readFileSync('bench/sequence-instances.json', 'utf8')) as Known[]
const first = known[0] as Known

const run = (input: unknown, ...options: string[]) =>
  spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'src/cli/sequence.ts', '-', ...options], {
    input: typeof input === 'string' ? input : JSON.stringify(input),
    encoding: 'utf8',
  })

const changed = (change: (file: SequenceFile) => SequenceFile): SequenceFile =>
  change(structuredClone(first.instance))

describe('the sequence command', () => {
  it('prints the best order of two wheels, proven, in the format it read', () => {
    const { status, stdout, stderr } = run(first.instance)
    expect(stderr).toBe('')
    expect(status).toBe(0)
    const answer = JSON.parse(stdout) as {
      makespan_s: number
      start_s: number[]
      worker: number[]
      lower_bound_s: number
    }
    expect(answer.makespan_s).toBe(first.best_known_s)
    expect(answer.lower_bound_s).toBe(first.best_known_s)
    const schedule = {
      makespanSeconds: answer.makespan_s,
      startSeconds: answer.start_s,
      person: answer.worker,
    }
    expect(faultsOf(problemOf(first.instance), schedule)).toEqual([])
  })

  const refused: [string, unknown, RegExp][] = [
    ['text that is no JSON', 'junk', /not JSON/],
    ['another format', { ...first.instance, format: 'x' }, /\$\.format/],
    ['no people', { ...first.instance, workers: 0 }, /\$\.workers: found 0\. Use 1 or 2 people/],
    [
      'two hundred wheels',
      { ...first.instance, wheels: Array.from({ length: 200 }, (_, at) => `W${at}`) },
      /at most 12 wheels/,
    ],
    [
      'a lag that contradicts itself',
      changed((file) => ({
        ...file,
        lags: [{ a: 0, b: 1, min_s: 90, max_s: 30, why: 'wet' }, ...file.lags],
      })),
      /\$\.lags\[0\]\.max_s: found 30\. The longest lag \(30 s\) is below the shortest \(90 s\)/,
    ],
    [
      'a lag that another makes impossible',
      changed((file) => ({
        ...file,
        lags: [{ a: 7, b: 11, min_s: 0, max_s: 100, why: 'wet' }, ...file.lags],
      })),
      /\$\.lags\[0\]\.max_s: found 100\..* The other lags need \d+ s/,
    ],
    [
      'a cycle',
      changed((file) => ({
        ...file,
        lags: [...file.lags, { a: 11, b: 7, min_s: 0, max_s: null, why: 'order' }],
      })),
      /come before the next/,
    ],
    [
      'an operation at no wheel',
      changed((file) => ({ ...file, ops: file.ops.map((op) => ({ ...op, wheel: 9 })) })),
      /ops\[0\]\.wheel/,
    ],
  ]
  it.each(refused)('refuses %s with code 2 and the fix', (_, input, says) => {
    const { status, stderr, stdout } = run(input)
    expect(status).toBe(2)
    expect(stderr).toMatch(says)
    expect(stdout).toBe('')
  })

  it('ends with 3 and names the wheel and the lag that cannot be kept', () => {
    // Long enough for the chain alone, too short with the tool changes in between.
    const tight = changed((file) => ({
      ...file,
      lags: file.lags.map((lag) => (lag.a === 7 && lag.b === 11 ? { ...lag, max_s: 275 } : lag)),
    }))
    const { status, stderr } = run(tight)
    expect(status).toBe(3)
    expect(stderr).toMatch(/^W0: c1\.rinse must start at most 275 s after c1\.spray \(wet\)/)
    expect(stderr).toMatch(/work the wheel in 2 parts,? (or )?keep it wet 64 s longer \(339 s\)/)
  })

  it.each(['--seconds', '--seconds=-1', '--fast'])('refuses %s', (option) => {
    expect(run(first.instance, option).status).toBe(2)
  })
})
