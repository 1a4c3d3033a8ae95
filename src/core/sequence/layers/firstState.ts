import { itemAt } from '@/core/sequence/problem/packed'
import type { Ground } from './ground'
import { maxOpen, none, type Layer } from './layer'
import { toolIndex, type Prepared } from '@/core/sequence/problem/prepared'
import { power } from '@/core/quantity/portableMath'

/** Writes the one state a pass begins from: what is done and wet already, where the people are and when they can begin. */
export function writeFirstState(ground: Ground, layer: Layer, hidden: Uint8Array): void {
  const { prepared, places, waste, singles, symmetries } = ground
  const { problem, people, placeCount } = prepared
  layer.size = 1
  let away = 0
  let remaining = 0
  for (let place = 0; place < placeCount; place += 1) {
    const { start } = itemAt(places, place)
    layer.progress.put(0, place, start.index)
    if (hidden[place]) continue
    away += itemAt(waste, place).fromAway(start)
    remaining += start.remainingSeconds
  }
  layer.awaySum[0] = away
  layer.remaining[0] = remaining
  layer.symmetries[0] = power(2, symmetries.length) - 1
  for (let single = 0; single < singles.length; single += 1) layer.lastUser.put(0, single, -1)
  const open = openAtFirst(prepared)
  layer.openCount[0] = open.length
  const instants = [0]
  for (let worker = 0; worker < people; worker += 1) {
    const person = problem.peopleAtStart?.[worker]
    layer.personPlace.put(0, worker, person?.place ?? -1)
    const isEmptyHanded = person?.place == null || person.tool === null
    layer.personTool.put(0, worker, isEmptyHanded ? -1 : toolIndex(prepared, person.tool))
    instants.push(person?.availableAtSeconds ?? 0)
  }
  for (const [at, id] of open.entries()) {
    layer.open.put(0, at, id)
    instants.push(problem.done?.get(id) ?? 0)
  }
  const isFixed = (variable: number) => variable === 0 || variable > people
  for (let a = 0; a < instants.length; a += 1) {
    for (let b = 0; b < instants.length; b += 1) {
      // People may start later than they could; what is past stands still.
      const apart = isFixed(a) ? itemAt(instants, b) - itemAt(instants, a) : a === b ? 0 : none
      layer.net.put(0, a, b, apart)
    }
  }
}

/** What is done and still matters to something that is not. */
function openAtFirst({ problem, after, isDone }: Prepared): number[] {
  const open = [...(problem.done ?? [])].flatMap(([id, ended]) =>
    (after[id] ?? []).some(({ other, min, max }) => !isDone[other] && (max >= 0 || ended + min > 0))
      ? [id]
      : [],
  )
  if (open.length > maxOpen) throw new Error(`More than ${maxOpen} chemicals wet at once`)
  return open.sort((a, b) => a - b)
}
