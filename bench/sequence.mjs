// Runs bench/sequence.ts: a table of all instances, then what the project promises of them. Bundled first, as the app ships it.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build } from 'esbuild'
import { node, root } from '../scripts/lib/run.mjs'

export async function benchSequence() {
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  const outfile = join(folder, 'sequence.mjs')
  await build({
    entryPoints: [join(root, 'bench', 'sequence.ts')],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile,
    logLevel: 'warning',
  })
  const { output } = await node([outfile], { capture: true })
  rmSync(folder, { recursive: true, force: true })
  const lines = output.trim().split('\n')
  process.stdout.write(`${lines.slice(0, -1).join('\n')}\n`)
  const found = JSON.parse(lines.at(-1))
  const row = (what, ratio, most, detail) => ({ what, ratio, most, detail })
  return [
    row(
      'one person: share not within 1 % of the best known after 1 s / a tenth',
      found.missedOnePercent / 0.1,
      1,
      '18 instances',
    ),
    row('one person: instances not within 3 % after 5 s', found.missedThreePercent, 0, 'none allowed'),
    row(
      'one and two wheels: instances longer than the best after 0.3 s',
      found.missedSmall,
      0,
      'none allowed',
    ),
    row('two people: finish after 2 s / best known, mean', found.twoMean, 1, '12 instances'),
    row('two people: finish after 2 s / best known, worst', found.twoWorst, 1.05, '12 instances'),
    row(
      'instances longer than the best one-wheel-at-a-time order',
      found.longerThanOneAtATime,
      0,
      'none allowed',
    ),
  ]
}
