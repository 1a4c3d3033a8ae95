import type { Remaining } from './remaining'

/** So many steps at other wheels may come in between, at most. */
const farthest = 12

/**
 * What was added to a run asks for a dwell that the plan knew nothing of: orders in which work at other wheels fills it. What the
 * added spray is waited for slides behind one, two, three … of the steps that follow, all else stays.
 */
export function slidOrders(
  { made, open }: Pick<Remaining, 'made' | 'open'>,
  personOf: (id: number) => number,
): number[][] {
  const at = open.findIndex((id) => made.steps[id]?.addedBecause && made.steps[id].startsDwell)
  const spray = open[at]
  if (spray === undefined) return []
  const place = made.problem.operations[spray]?.place
  const waits = (id: number): boolean =>
    made.problem.operations[id]?.place === place && personOf(id) === personOf(spray)
  const [head, rest] = [open.slice(0, at + 1), open.slice(at + 1)]
  const leaves = rest.findIndex((id) => !waits(id))
  if (leaves < 0) return []
  const [waiting, others] = [rest.slice(0, leaves), rest.slice(leaves)]
  return Array.from({ length: Math.min(farthest, others.length) }, (_, between) => [
    ...head,
    ...others.slice(0, between + 1),
    ...waiting,
    ...others.slice(between + 1),
  ])
}
