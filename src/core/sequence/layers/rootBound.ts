import { intAt, itemAt } from '@/core/sequence/problem/packed'
import type { Ground } from './ground'

/** A bound for the whole problem before any search: work and the least waste of each place, shared by all. */
export function rootBound({ prepared, places, waste }: Ground): number {
  const { people } = prepared
  const starts = prepared.problem.peopleAtStart
  const work = places.reduce((sum, { start }) => sum + start.remainingSeconds, 0)
  const available = Array.from({ length: people }, (_, one) => starts?.[one]?.availableAtSeconds ?? 0)
  const sum = available.reduce((all, one) => all + one, 0)
  if (people > 1) {
    // However many work at it, a place takes its longest chain of work and dwells.
    const chains = places.map((progress) =>
      Math.max(
        0,
        ...progress.ids.map((id, local) =>
          progress.start.done[local]
            ? 0
            : progress.chainBefore(progress.start, local) + intAt(prepared.duration, id),
        ),
      ),
    )
    return Math.max(
      ...available,
      Math.min(...available) + Math.max(0, ...chains),
      Math.ceil((work + sum) / people),
    )
  }
  const lost = places.map(({ start }, place) => itemAt(waste, place).fromAway(start))
  const entries = places.map((_, place) => Math.max(0, ...prepared.walk.map((row) => itemAt(row, place))))
  // The first way in is free, and one who is somewhere already may have none.
  return Math.max(0, sum + work + lost.reduce((all, one) => all + one, 0) - Math.max(0, ...entries))
}
