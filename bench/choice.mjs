// Runs bench/choice.ts and says how the time grows with the cabinet; the limit of 100 ms for 40 products is the project's promise.
import { bin, node } from '../scripts/lib/run.mjs'

export async function benchChoice() {
  const { output } = await node([bin.tsx, 'bench/choice.ts'], { capture: true })
  const sizes = JSON.parse(output.trim().split('\n').at(-1))
  const of40 = sizes.find(({ size }) => size === 40).medianMilliseconds
  return [
    {
      what: 'choosing with 40 products, 4 wheels, all zones / 100 ms',
      ratio: of40 / 100,
      most: 1,
      detail: `median ${of40.toFixed(0)} ms`,
    },
    ...sizes.map(({ size, medianMilliseconds, worstMilliseconds }) => ({
      what: `choosing with ${size} products / with 40`,
      ratio: medianMilliseconds / of40,
      detail: `median ${medianMilliseconds.toFixed(0)} ms, worst ${worstMilliseconds.toFixed(0)} ms`,
    })),
  ]
}
