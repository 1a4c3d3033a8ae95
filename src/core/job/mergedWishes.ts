import type { Wishes } from './job'

/** What the lists of one window's change added to and took from the list it began with, applied to the stored one. */
function mergedList<T>(
  known: readonly T[],
  wished: readonly T[],
  stored: readonly T[],
  keyOf: (entry: T) => string,
): T[] {
  const keys = (list: readonly T[]) => new Set(list.map(keyOf))
  const [before, after] = [keys(known), keys(wished)]
  const others = stored.filter((entry) => !after.has(keyOf(entry)) && !before.has(keyOf(entry)))
  const kept = keys(stored)
  const mine = wished.filter((entry) => !before.has(keyOf(entry)) || kept.has(keyOf(entry)))
  return [...mine, ...others]
}

const asItIs = (id: string): string => id
const changed = <T>(known: T, wished: T, stored: T): T => (wished === known ? stored : wished)

const choiceOf = ({ prefer, pinned, forbidden, minutesAllowed, costAllowedMinor }: Wishes): string =>
  JSON.stringify([prefer, pinned.toSorted(), forbidden.toSorted(), minutesAllowed, costAllowedMinor])
const placedOf = ({ placed = [] }: Wishes): string =>
  JSON.stringify(placed.map(({ stepId, startSeconds }) => [stepId, startSeconds]).sort())

/** Whether both lead to the same steps, whatever was put to a time by hand. */
const isSameChoice = (one: Wishes, other: Wishes): boolean => choiceOf(one) === choiceOf(other)

export const isSameWishes = (one: Wishes, other: Wishes): boolean =>
  isSameChoice(one, other) && placedOf(one) === placedOf(other)

/**
 * The wishes of a plan that was changed in two windows. Each change holds; where both changed the same, `wished` does.
 * @param known what the window that asks began with
 * @param wished what it asks for
 * @param stored what another window has stored meanwhile
 */
export function mergedWishes(known: Wishes, wished: Wishes, stored: Wishes): Wishes {
  const newlyPinned = wished.pinned.filter((id) => !known.pinned.includes(id))
  const newlyForbidden = wished.forbidden.filter((id) => !known.forbidden.includes(id))
  const merged: Wishes = {
    prefer: changed(known.prefer, wished.prefer, stored.prefer),
    pinned: mergedList(known.pinned, wished.pinned, stored.pinned, asItIs).filter(
      (id) => !newlyForbidden.includes(id),
    ),
    forbidden: mergedList(known.forbidden, wished.forbidden, stored.forbidden, asItIs).filter(
      (id) => !newlyPinned.includes(id),
    ),
    minutesAllowed: changed(known.minutesAllowed, wished.minutesAllowed, stored.minutesAllowed),
    costAllowedMinor: changed(known.costAllowedMinor, wished.costAllowedMinor, stored.costAllowedMinor),
  }
  // Another choice of products makes other steps: what was put to a time by hand means nothing any more.
  const changedHere = [wished, stored].find((one) => isSameChoice(merged, one))
  const placed = isSameChoice(merged, known)
    ? mergedList(known.placed ?? [], wished.placed ?? [], stored.placed ?? [], ({ stepId }) => stepId)
    : (changedHere?.placed ?? [])
  return { ...merged, placed }
}
