import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import * as v from 'valibot'
import { forgetEarlierTap, earlierTaps, isTap } from './earlierTaps'
import type { Kept, Tap, Waiting } from './waiting'

interface Shelf extends DBSchema {
  waiting: { key: number; value: Kept; indexes: { byRequest: string } }
}

let opened: Promise<IDBPDatabase<Shelf>> | null = null

/** The device's own database; numbers that count up keep the order over all tabs. */
const shelf = (): Promise<IDBPDatabase<Shelf>> =>
  (opened ??= openDB<Shelf>('even-spoke', 1, {
    upgrade: (database) => {
      database
        .createObjectStore('waiting', { autoIncrement: true })
        .createIndex('byRequest', 'item.requestId')
    },
  }))

const uuid = v.pipe(v.string(), v.uuid())
const made = { requestId: uuid, madeAt: v.number() }
/** What can be sent; the server checks all the rest. */
const waitingShape = v.variant('kind', [
  v.looseObject({ kind: v.literal('tap'), ...made, jobId: uuid, tap: v.custom<Tap>(isTap) }),
  v.looseObject({ kind: v.literal('look'), ...made, wheelSetId: uuid, look: v.looseObject({}) }),
  v.looseObject({ kind: v.literal('photograph'), ...made, wheelSetId: uuid, jpeg: v.blob() }),
])
/** Earlier versions called the reason `mend` or kept it as a text, and some had nothing to order by: theirs come first. */
const keptShape = v.object({
  item: waitingShape,
  order: v.optional(v.number(), 0),
  refusal: v.nullable(
    v.union([
      v.object({ fix: v.string(), isJobEnded: v.boolean() }),
      v.pipe(
        v.object({ mend: v.string(), isJobEnded: v.boolean() }),
        v.transform(({ mend, isJobEnded }) => ({ fix: mend, isJobEnded })),
      ),
      v.pipe(
        v.string(),
        v.transform((fix) => ({ fix, isJobEnded: false })),
      ),
    ]),
  ),
})

const read = (value: unknown): Kept | null => {
  const parsed = v.safeParse(keptShape, value)
  return parsed.success ? (parsed.output as unknown as Kept) : null
}
/** Whether a value is something that waits, of this version or an earlier one. */
export const isKept = (value: unknown): boolean => read(value) !== null

/** All that waits, in the order it was made. Junk is cleared away; taps that an earlier version kept elsewhere are taken over. */
export async function loadKept(): Promise<readonly Kept[]> {
  const database = await shelf()
  await takeOverTaps()
  const all = await database.getAll('waiting')
  const kept = all.flatMap((one) => read(one) ?? []).sort((a, b) => a.order - b.order)
  if (kept.length === all.length) return kept
  for (
    let cursor = await database.transaction('waiting', 'readwrite').store.openCursor();
    cursor;
    cursor = await cursor.continue()
  )
    if (!isKept(cursor.value)) await cursor.delete()
  return kept
}

/** Keeps it; what is kept already stays in its place. */
export async function keep(kept: Kept): Promise<void> {
  const { store, done } = (await shelf()).transaction('waiting', 'readwrite')
  const key = await store.index('byRequest').getKey(kept.item.requestId)
  await (key === undefined ? store.add(kept) : store.put(kept, key))
  await done
}

export async function forget(requestId: Waiting['requestId']): Promise<void> {
  const { store, done } = (await shelf()).transaction('waiting', 'readwrite')
  const key = await store.index('byRequest').getKey(requestId)
  if (key !== undefined) await store.delete(key)
  await done
}

/** Takes over the taps that an earlier version left in the device's other store; each is forgotten there once it is kept here. */
async function takeOverTaps(): Promise<void> {
  for (const { key, item, order } of earlierTaps()) {
    await keep({ item, order, refusal: null })
    forgetEarlierTap(key)
  }
}
