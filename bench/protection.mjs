// Runs bench/protection.ts: when protection is due, against what really happened.
import { bin, node } from '../scripts/lib/run.mjs'

export async function benchProtection() {
  const { output } = await node([bin.tsx, 'bench/protection.ts'], { capture: true })
  const lines = output.trim().split('\n')
  process.stdout.write(`${lines.slice(0, -1).join('\n')}\n`)
  const { given, leastInside, worstShare } = JSON.parse(lines.at(-1))
  const detail = `${(100 * given.inside).toFixed(0)} % inside the band`
  return [
    { what: 'given shops: mean loss / 8.4 days', ratio: given.loss / 8.4, most: 1, detail },
    { what: 'given shops: median error / 3.2 days', ratio: given.median / 3.2, most: 1, detail },
    { what: 'given shops: least share inside the band / share inside', ratio: 0.77 / given.inside, most: 1, detail },
    { what: 'given shops: share inside the band / most share', ratio: given.inside / 0.87, most: 1, detail },
    { what: 'own shops: 72 % / least share inside the band', ratio: 0.72 / leastInside, most: 1, detail: 'six stories of eight shops' },
    { what: 'own shops: loss / loss of the unlearnt model, worst', ratio: worstShare, most: 1, detail: 'six stories of eight shops' },
  ] // prettier-ignore
}
