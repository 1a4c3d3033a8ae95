/** Which part of a list is asked for: what comes after a row, or before one; neither: the first. */
export interface PageAt {
  /** Id of the last row that was shown. */
  readonly after?: string | null
  /** Id of the first row that was shown. */
  readonly before?: string | null
  /** Rows at most. */
  readonly size: number
}

export interface Page<Row> {
  readonly rows: readonly Row[]
  readonly hasEarlier: boolean
  readonly hasLater: boolean
}

/**
 * A page that is read along its key from where it hangs, so that a late one costs what the first does.
 * @param read gives at most so many rows beyond the cursor, the nearest first: against the order where `isBackward`
 */
export async function readPage<Row>(
  at: PageAt,
  read: (cursor: string | null, isBackward: boolean, most: number) => Promise<Row[]>,
): Promise<Page<Row>> {
  const cursor = at.before ?? at.after ?? null
  const isBackward = cursor !== null && cursor === at.before
  const found = await read(cursor, isBackward, at.size + 1)
  // The row it hung on may be gone meanwhile.
  if (cursor !== null && found.length === 0) return readPage({ size: at.size }, read)
  const isMore = found.length > at.size
  const rows = found.slice(0, at.size)
  return isBackward
    ? { rows: rows.reverse(), hasEarlier: isMore, hasLater: true }
    : { rows, hasEarlier: cursor !== null, hasLater: isMore }
}
