import { itemAt } from '@/core/sequence/problem/packed'
import type { Chains } from './chains'
import type { Pattern } from './pattern'

/** The operations of one person's walk in the order of a pattern, without what belongs to no wheel. */
function walkOrder(chains: Chains, { blocks, turn }: Pattern, walk: readonly number[]): number[] {
  let sum = 0
  const behind = blocks.map((block) => (sum += block.behind === 'round' ? walk.length : block.behind))
  const order: number[] = []
  for (let wheel = 0; wheel < walk.length + sum; wheel += 1)
    for (const at of turn) {
      const place = walk[wheel - itemAt(behind, at)]
      const upTo = blocks[at + 1]?.move ?? chains.moves.length
      if (place === undefined) continue
      for (let move = (blocks[at] as Pattern['blocks'][number]).move; move < upTo; move += 1) {
        const id = chains.operationOf[place]?.[move]
        if (id !== undefined) order.push(id)
      }
    }
  return order
}

/** Each person's operations in the order of a pattern; what belongs to no wheel comes when it is waited for, else last. */
export const patternOrders = (chains: Chains, pattern: Pattern): number[][] =>
  withVehicle(
    chains,
    pattern.walks.map((walk) => walkOrder(chains, pattern, walk)),
  )

/** Orders with what belongs to no wheel put in: the first person does it, as late as others wait for it. */
export function withVehicle(chains: Chains, orders: readonly (readonly number[])[]): number[][] {
  const open = [...chains.ofVehicle]
  return orders.map((own, person) => {
    if (person > 0) return [...own]
    const order: number[] = []
    for (const id of own) {
      for (const earlier of chains.before[id] ?? [])
        while (open.includes(earlier)) order.push(open.shift() as number)
      order.push(id)
    }
    return [...order, ...open.splice(0)]
  })
}
