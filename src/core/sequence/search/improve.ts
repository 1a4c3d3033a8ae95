import { intAt, itemAt } from '@/core/sequence/problem/packed'
import type { FoundOrder } from '@/core/sequence/problem/foundOrder'
import type { Search, Standing } from './search'

/** Operations in a row that are put in order anew at once. */
const windowLength = 24

/**
 * Makes the best order better by keeping most of it: two places are taken out and put in between the rest anew, or all
 * operations of a stretch of time. Goes round until nothing of that helps any more.
 */
export function* improve(search: Search, width: number, isOver: () => boolean): Generator<Standing, void> {
  const { prepared, layers } = search
  const places = layers.places.flatMap(({ start }, place) => (start.remainingCount > 0 ? [place] : []))
  const groups: number[][] = []
  for (let apart = 1; apart < places.length; apart += 1)
    for (let at = 0; at + apart < places.length; at += 1)
      groups.push([itemAt(places, at), itemAt(places, at + apart)])
  if (prepared.people > 1) for (const place of places) groups.push([place])
  const windows = prepared.people > 1 ? Math.ceil(prepared.count / (windowLength / 4)) : 0
  const rounds = groups.length + windows
  if (places.length < 2 || (prepared.people === 1 && places.length < 3)) return
  let unchanged = 0
  for (let at = 0; unchanged < rounds; at = (at + 1) % rounds) {
    const { best, schedule } = search
    if (!best || !schedule || isOver()) return
    const owners = ownersOf(search, best)
    let isFree: (operation: number) => boolean
    let assigned: readonly number[] | undefined
    if (at < windows) {
      const byTime = [...best.operations].sort(
        (a, b) => itemAt(schedule.startSeconds, a) - itemAt(schedule.startSeconds, b) || a - b,
      )
      // Every other time each person keeps their places, which lets the search see further ahead.
      const isKept = at % 2 === 0
      const length = isKept ? 2 * windowLength : windowLength
      const free = new Set(byTime.slice(Math.floor((at * windowLength) / 4)).slice(0, length))
      isFree = (operation) => free.has(operation)
      assigned = isKept ? owners : undefined
    } else {
      const group = groups[at - windows] as number[]
      isFree = (operation) => group.includes(intAt(prepared.place, operation))
      assigned = owners.map((owner, place) => (group.includes(place) ? -1 : owner))
    }
    const isBetter = yield* search.try({
      width,
      share: 1,
      keeping: { order: best, isFree },
      ...(prepared.people > 1 && assigned ? { assigned } : {}),
    })
    unchanged = isBetter ? 0 : unchanged + 1
  }
}

/** Who does all the work at a place; −1 where it is shared. */
function ownersOf({ prepared }: Search, order: FoundOrder): number[] {
  const owners: (number | undefined)[] = []
  order.operations.forEach((id, at) => {
    const place = intAt(prepared.place, id)
    const person = itemAt(order.people, at)
    owners[place] = owners[place] === undefined || owners[place] === person ? person : -1
  })
  return Array.from({ length: prepared.placeCount }, (_, place) => owners[place] ?? -1)
}
