import { spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { planFile } from '@/contracts/planFile'

const run = (argument: string[], input = '') =>
  spawnSync(process.execPath, ['--import', 'tsx', 'src/cli/plan.ts', ...argument], {
    input,
    encoding: 'utf8',
  })

describe('the plan command', () => {
  it('prints a plan file on standard output and nothing else', () => {
    const { status, stdout, stderr } = run(['docs/examples/winter-neglected.job.json'])
    expect([status, stderr]).toEqual([0, ''])
    expect(v.is(planFile, JSON.parse(stdout))).toBe(true)
  })

  it('reads standard input, and names every problem on a line of its own', () => {
    const bad = {
      format: 'even-spoke/job/1',
      corners: [{ position: 'frontLeft', tyreCode: 'x', spokeCount: -1 }],
    }
    const { status, stdout, stderr } = run(['-'], JSON.stringify(bad))
    expect([status, stdout]).toEqual([2, ''])
    const lines = stderr.trim().split('\n')
    expect(lines).toHaveLength(3)
    expect(lines[0]).toMatch(/^\$\.corners\[0\]\.tyreCode: found "x"\. This is not a tyre code/)
  })

  it.each([
    ['no file', [], ''],
    ['a file that is not there', ['nothing.json'], ''],
    ['junk', ['-'], '\u0000\u0001{'],
    ['five megabytes', ['-'], 'x'.repeat(5_000_000)],
  ])('%s ends with exit code 2 and one clear line', (_, argument, input) => {
    const { status, stdout, stderr } = run(argument, input)
    expect([status, stdout]).toEqual([2, ''])
    expect(stderr.trim().split('\n')).toHaveLength(1)
    expect(stderr).not.toContain('    at ')
  })
})
