/** What a person typed and what it was typed over, as it is kept on the device. */
export interface Draft<T> {
  readonly values: T
  /** What the form showed before; a draft of an earlier version does not say. */
  readonly from?: T
  /** The saved state's version that the typing began from. */
  readonly version: number
  /** When it was last typed at, ms since 1970. */
  readonly at: number
}

/** Older ones would put what was seen on another day in the place of what is there now, ms. */
const longestMilliseconds = 24 * 3_600_000

const keyOf = (form: string): string => `even-spoke.draft.${form}`

/** True where `found` has the same kinds of values at the same places as `like`; lists may differ in length. */
export function hasShapeOf(found: unknown, like: unknown): boolean {
  if (like === null || like === undefined) return true
  if (typeof found !== typeof like || found === null) return false
  if (Array.isArray(like)) {
    const [first] = like as readonly unknown[]
    return Array.isArray(found) && (first === undefined || found.every((entry) => hasShapeOf(entry, first)))
  }
  if (typeof like !== 'object') return true
  return (
    !Array.isArray(found) &&
    Object.entries(like).every(([key, value]) => hasShapeOf((found as Record<string, unknown>)[key], value))
  )
}

/** A value kept by an earlier version of a form; fields that it did not have yet are as the form has them now. */
export function withMissing(found: unknown, like: unknown): unknown {
  const isRecord = (value: unknown): value is Record<string, unknown> =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
  if (!isRecord(found) || !isRecord(like)) return found
  const fields = Object.entries(like).map(([key, value]) => [
    key,
    key in found ? withMissing(found[key], value) : value,
  ])
  return { ...found, ...Object.fromEntries(fields) }
}

/**
 * The draft of a form, where there is one that fits it; junk, old ones and drafts of an earlier form are dropped.
 * @param like values of the form as it is now
 */
export function readDraft<T>(form: string, like: T, now: number): Draft<T> | null {
  try {
    const text = localStorage.getItem(keyOf(form))
    if (text === null) return null
    // As it would come back from where it was kept.
    const fields: unknown = JSON.parse(JSON.stringify(like))
    const draft = withMissing(JSON.parse(text), { values: fields })
    if (
      hasShapeOf(draft, { values: fields, version: 0, at: 0 }) &&
      now - (draft as Draft<T>).at < longestMilliseconds
    ) {
      const { from, ...rest } = draft as Draft<T>
      const begun = withMissing(from, fields)
      return begun !== undefined && hasShapeOf(begun, fields) ? { ...rest, from: begun as T } : rest
    }
  } catch {
    // Dropped below, like every junk.
  }
  forgetDraft(form)
  return null
}

export function keepDraft<T>(form: string, draft: Draft<T>): void {
  try {
    localStorage.setItem(keyOf(form), JSON.stringify(draft))
  } catch {
    // A browser that keeps nothing still sends the form; only a reload would lose what was typed.
  }
}

export function forgetDraft(form: string): void {
  try {
    localStorage.removeItem(keyOf(form))
  } catch {
    // Nothing was kept.
  }
}
