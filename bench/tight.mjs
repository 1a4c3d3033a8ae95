// Runs bench/tight.ts: two people under tight limits, what the plan's page gets against a long look.
import { bin, node } from '../scripts/lib/run.mjs'

export async function benchTight() {
  const { output } = await node([bin.tsx, 'bench/tight.ts'], { capture: true })
  const lines = output.trim().split('\n')
  process.stdout.write(`${lines.slice(0, -1).join('\n')}\n`)
  const { instances, missed, worst } = JSON.parse(lines.at(-1))
  return [
    {
      what: 'two people, tight limits: default work / long look, worst',
      ratio: worst,
      most: 1.05,
      detail: `${instances} instances, ${missed} beyond`,
    },
  ]
}
