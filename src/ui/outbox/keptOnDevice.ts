import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import * as v from 'valibot'
import { isUuid } from '@/contracts/fields'
import type { Kept, Waiting } from './waiting'

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

const keptShape = v.object({
  item: v.variant('kind', [
    v.object({ kind: v.literal('look'), look: v.object({}) }),
    v.object({ kind: v.literal('photograph'), jpeg: v.blob() }),
  ]),
  refusal: v.nullable(v.string()),
})

/** Whether an entry can be sent; the server holds it to all the rest. */
const isKept = (value: Kept): boolean =>
  v.is(keptShape, value) && isUuid(value.item.requestId) && isUuid(value.item.wheelSetId)

/** All that waits, in the order it was made. Junk is cleared away. */
export async function loadKept(): Promise<readonly Kept[]> {
  const database = await shelf()
  const kept = await database.getAll('waiting')
  const junk = kept.filter((one) => !isKept(one))
  if (junk.length === 0) return kept
  for (
    let cursor = await database.transaction('waiting', 'readwrite').store.openCursor();
    cursor;
    cursor = await cursor.continue()
  )
    if (!isKept(cursor.value)) await cursor.delete()
  return kept.filter(isKept)
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
