// Runs bench/bay.ts: taps, changes of wheel and minutes of the orders that are shown first.
import { bin, node } from '../scripts/lib/run.mjs'

export async function benchBay() {
  const { output } = await node([bin.tsx, 'bench/bay.ts'], { capture: true })
  const lines = output.trim().split('\n')
  process.stdout.write(`${lines.slice(0, -1).join('\n')}\n`)
  const { jobs, medianShare, unexplained, changes, patterns, taps } = JSON.parse(lines.at(-1))
  const detail = `${jobs} jobs, ${patterns} with a pattern`
  return [
    { what: 'calm order / shortest, median', ratio: medianShare, most: 1.08, detail },
    {
      what: 'beyond 1.12 of the shortest, or 1.2 where that changes wheel more than four times as often',
      ratio: unexplained,
      most: 0,
      detail,
    },
    { what: 'changes of wheel / those of the shortest, median', ratio: changes, most: 0.34, detail },
    { what: 'taps / what good hands need, worst reference job', ratio: taps, most: 1, detail: 'one person' },
  ]
}
