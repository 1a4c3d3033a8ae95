/** Something that two people changed to different things. */
export interface Clash {
  /** As of a field: `equipment.pressureBar`. */
  readonly path: string
  readonly theirs: unknown
}

export interface Merged<T> {
  readonly value: T
  readonly clashes: readonly Clash[]
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const isSame = (one: unknown, other: unknown): boolean => {
  if (!isRecord(one) || !isRecord(other)) return JSON.stringify(one) === JSON.stringify(other)
  const keys = new Set([...Object.keys(one), ...Object.keys(other)])
  return [...keys].every((key) => isSame(one[key], other[key]))
}

function mergeValue(base: unknown, mine: unknown, theirs: unknown, path: string, clashes: Clash[]): unknown {
  if (isSame(mine, base) || isSame(mine, theirs)) return theirs
  if (isSame(theirs, base)) return mine
  if (isRecord(mine) && isRecord(theirs)) {
    const from = isRecord(base) ? base : {}
    const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])]
    return Object.fromEntries(
      keys
        .map((key) => [
          key,
          mergeValue(from[key], mine[key], theirs[key], path ? `${path}.${key}` : key, clashes),
        ])
        .filter(([, value]) => value !== undefined),
    )
  }
  clashes.push({ path, theirs })
  return mine
}

/**
 * Puts what one person changed over what another has saved meanwhile, field by field; a list is one field.
 * @param base what both began from
 * @param mine what the one has now; stands where both changed the same
 * @param theirs what is saved now
 */
export function mergeChanges<T>(base: T, mine: T, theirs: T): Merged<T> {
  const clashes: Clash[] = []
  const value = mergeValue(base, mine, theirs, '', clashes) as T
  return { value, clashes }
}
