import { itemAt } from '@/core/sequence/problem/packed'
import type { Prepared } from '@/core/sequence/problem/prepared'

/** More are not worth their bookkeeping; any subset is as valid. */
const maxSymmetries = 31

/**
 * Ways to rename the places that change nothing: same work, same walks. Each maps a place to a place; the identity is left out.
 * A place with a lag to another place, or where something is done already or somebody stands, keeps its name.
 */
export function symmetriesOf(prepared: Prepared): readonly (readonly number[])[] {
  const { placeCount, walk, problem } = prepared
  const kinds = kindsOfPlaces(prepared)
  const standing = new Set((problem.peopleAtStart ?? []).map(({ place }) => place))
  const found: number[][] = []
  const extend = (image: number[]): void => {
    if (found.length >= maxSymmetries) return
    const place = image.length
    if (place === placeCount) {
      if (image.some((to, from) => to !== from)) found.push([...image])
      return
    }
    for (let to = 0; to < placeCount; to += 1) {
      if (image.includes(to) || kinds[to] !== kinds[place]) continue
      if (to !== place && (standing.has(place) || standing.has(to))) continue
      const fits = image.every(
        (other, from) =>
          walk[from]?.[place] === walk[other]?.[to] && walk[place]?.[from] === walk[to]?.[other],
      )
      if (fits) extend([...image, to])
    }
  }
  extend([])
  return found
}

/**
 * Whether a place not yet touched is the image of an earlier one under what still changes nothing.
 * @param left a bit for every symmetry that is left
 */
export function hasTwin(symmetries: readonly (readonly number[])[], left: number, place: number): boolean {
  for (let one = 0; one < symmetries.length; one += 1)
    if ((left & (1 << one)) !== 0 && itemAt(itemAt(symmetries, one), place) < place) return true
  return false
}

/** The symmetries that leave one more place where it is, as bits. */
export function fixing(symmetries: readonly (readonly number[])[], left: number, place: number): number {
  let fixed = left
  for (let one = 0; one < symmetries.length; one += 1)
    if (itemAt(symmetries, one)[place] !== place) fixed &= ~(1 << one)
  return fixed
}

/** Places of the same kind have the same operations with the same lags between them. */
export function kindsOfPlaces(prepared: Prepared): readonly string[] {
  const { placeCount, problem, duration, tool, place, after, isDone } = prepared
  return Array.from({ length: placeCount }, (_, at) => {
    const ids = problem.operations.filter((operation) => operation.place === at).map(({ id }) => id)
    const local = new Map(ids.map((id, index) => [id, index]))
    const isOwn = ids.some(
      (id) =>
        isDone[id] ||
        problem.lags.some(
          ({ from, to }) => (from === id && place[to] !== at) || (to === id && place[from] !== at),
        ),
    )
    if (isOwn) return `own ${at}`
    return ids
      .map(
        (id) =>
          `${duration[id]}.${tool[id]}:${(after[id] ?? [])
            .map(({ other, min, max }) => `${local.get(other)}/${min}/${max}`)
            .sort()
            .join(',')}`,
      )
      .join(';')
  })
}
