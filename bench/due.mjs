// Runs bench/due.ts: the due list of two thousand wheel sets.
import { bin, node } from '../scripts/lib/run.mjs'

export async function benchDue() {
  const { output } = await node([bin.tsx, 'bench/due.ts'], { capture: true })
  const lines = output.trim().split('\n')
  process.stdout.write(`${lines.slice(0, -1).join('\n')}\n`)
  const { some, many } = JSON.parse(lines.at(-1))
  return [
    { what: 'due list of 2000 sets from nothing / 3 s', ratio: many.fromNothing / 3000, most: 1, detail: `${Math.round(many.fromNothing)} ms` },
    { what: 'due list of 2000 sets after a look at one / 300 ms', ratio: many.change / 300, most: 1, detail: `${Math.round(many.change)} ms` },
    { what: 'from nothing: 2000 sets / four times 500 sets', ratio: many.fromNothing / (4 * some.fromNothing), most: 1.3, detail: 'linear is 1' },
  ] // prettier-ignore
}
