// Runs bench/reference.ts: how far the clock of a usual job is from the range that good hands need; 1 is the nearer end of it.
import { bin, node } from '../scripts/lib/run.mjs'

export async function benchReference() {
  const { output } = await node([bin.tsx, 'bench/reference.ts'], { capture: true })
  const rows = JSON.parse(output.trim().split('\n').at(-1))
  return rows.map(({ name, before, from, to, minutes, forTwo, rinsesPerWheel }) => ({
    what: `${name}: minutes outside ${from} to ${to}`,
    // Minutes are planned whole.
    ratio: Math.max(0, from - Math.round(minutes), Math.round(minutes) - to),
    most: 0,
    detail: `${Math.round(minutes)} min${before ? `, before ${before}` : ''}; two people ${Math.round((100 * forTwo) / minutes)} %; ${rinsesPerWheel.toFixed(1)} rinses a wheel`,
  }))
}
