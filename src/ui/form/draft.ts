/** What a person typed and what it was typed over, as it is kept on the device. */
export interface Draft<T> {
  readonly values: T
  /** What the form showed before; a draft of an earlier version does not say. */
  readonly from?: T
  /** The saved state's version that the typing began from. */
  readonly version: number
  /** When it was last typed at, ms since 1970. */
  readonly at: number
  /** It is sent under this id, so that what arrived before a reload does not count twice. */
  readonly requestId?: string
}

/** A draft as it was found, and where. */
export interface FoundDraft<T> extends Draft<T> {
  readonly slot: Slot
}

/** A place on the device, with what lay there. */
export interface Slot {
  readonly key: string
  readonly text: string
}

/** Older ones are dropped, ms. */
const longestMilliseconds = 30 * 86_400_000
const prefix = 'even-spoke.draft.'
/** Every window keeps its own draft of a form: what is typed in one never takes the place of what was typed in another. */
const ownSlot = `|window ${typeof crypto === 'undefined' ? '' : crypto.getRandomValues(new Uint32Array(2)).join('-')}`

const ownKeyOf = (form: string): string => `${prefix}${form}${ownSlot}`
const isSlotOf = (key: string, form: string): boolean =>
  key === `${prefix}${form}` || key.startsWith(`${prefix}${form}|window `)

/** Where a device keeps nothing, a draft stays as long as the page does. */
const onPage = new Map<string, string>()

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

/** All slots of all forms: on the device, and on the page where the device keeps nothing. */
function slots(): Slot[] {
  const found = new Map<string, string>()
  try {
    for (let at = 0; at < localStorage.length; at += 1) {
      const key = localStorage.key(at)
      if (key?.startsWith(prefix)) found.set(key, localStorage.getItem(key) ?? '')
    }
  } catch {
    // A browser that keeps nothing.
  }
  for (const [key, text] of onPage) found.set(key, text)
  return [...found].map(([key, text]) => ({ key, text }))
}

function remove(key: string): void {
  onPage.delete(key)
  try {
    localStorage.removeItem(key)
  } catch {
    // Nothing was kept.
  }
}

/** A draft as it is kept, of a form as it is now; null: junk, too old, or of a form that was another one. */
function draftIn<T>(
  slot: Slot,
  like: T,
  now: number,
  upgrade: (kept: unknown) => unknown = (kept) => kept,
): FoundDraft<T> | null {
  try {
    // As it would come back from where it was kept.
    const fields: unknown = JSON.parse(JSON.stringify(like))
    const kept = JSON.parse(slot.text) as Partial<Draft<unknown>>
    const inShape = { ...kept, values: upgrade(kept.values), from: upgrade(kept.from) }
    const draft = withMissing(inShape, { values: fields })
    if (!hasShapeOf(draft, { values: fields, version: 0, at: 0 })) return null
    const { values, from, version, at, requestId } = draft as Draft<T>
    if (now - at >= longestMilliseconds) return null
    const begun = withMissing(from, fields)
    return {
      values,
      version,
      at,
      slot,
      ...(begun !== undefined && hasShapeOf(begun, fields) ? { from: begun as T } : {}),
      ...(typeof requestId === 'string' ? { requestId } : {}),
    }
  } catch {
    return null
  }
}

/**
 * The newest draft of a form that fits it; what does not fit is dropped.
 * @param like values of the form as it is now
 * @param upgrade gives the values that an earlier version kept in another shape
 */
export function readDraft<T>(
  form: string,
  like: T,
  now: number,
  upgrade?: (kept: unknown) => unknown,
): FoundDraft<T> | null {
  const drafts = slots()
    .filter(({ key }) => isSlotOf(key, form))
    .flatMap((slot) => {
      const draft = draftIn(slot, like, now, upgrade)
      if (!draft) remove(slot.key)
      return draft ? [draft] : []
    })
  return drafts.sort((one, other) => other.at - one.at)[0] ?? null
}

/** Makes room: drafts of all forms that are too old, or are none. */
function dropOld(now: number): void {
  for (const slot of slots()) if (!draftIn(slot, undefined, now)) remove(slot.key)
}

/** Removes a draft that was taken over, unless its own window typed on. */
function leave(slot: Slot | null, form: string): void {
  if (!slot || slot.key === ownKeyOf(form)) return
  const text = slots().find(({ key }) => key === slot.key)?.text
  if (text === slot.text) remove(slot.key)
}

/**
 * Keeps a draft on the device.
 * @param taken the draft of another window that this one goes on from
 * @returns false where the device has no room: then it is kept as long as the page is open
 */
export function keepDraft<T>(form: string, draft: Draft<T>, taken: Slot | null = null): boolean {
  const [key, text] = [ownKeyOf(form), JSON.stringify(draft)]
  for (const makeRoom of [() => undefined, () => dropOld(draft.at)]) {
    try {
      makeRoom()
      localStorage.setItem(key, text)
      onPage.delete(key)
      leave(taken, form)
      return true
    } catch {
      // Tried once more with more room.
    }
  }
  onPage.set(key, text)
  return false
}

/** Removes this window's draft, and the one it was taken over from. */
export function forgetDraft(form: string, taken: Slot | null = null): void {
  remove(ownKeyOf(form))
  leave(taken, form)
}
