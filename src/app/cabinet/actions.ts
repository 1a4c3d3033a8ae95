'use server'

import { currentTime } from '@/clock'
import { revalidatePath } from 'next/cache'
import * as v from 'valibot'
import type { Problem } from '@/core/result'
import { toolStates } from '@/core/tools/tool'
import { productFile, productOf, toolFile, toolOf } from '@/contracts/cabinet'
import { idText, oneOf, versionNumber } from '@/contracts/fields'
import { parse } from '@/contracts/problems'
import { stockInput } from '@/contracts/stock'
import { database } from '@/data/connection'
import type { Database } from '@/data/database'
import { addProduct, findProduct, listProducts, updateProduct } from '@/data/queries/cabinet'
import { readSettings } from '@/data/queries/settings'
import { findTool, listTools, putTool, removeTool, setToolState, updateTool } from '@/data/queries/tools'
import { roomProblem } from '@/services/cabinetRoom'
import { enterStock } from '@/services/enterStock'
import { importCabinet, previewImport, type ImportPreview } from '@/services/cabinetFiles'
import { answerOf, leadTo, refusalOf, refuse, type Refusal } from '../refusal'

/** Runs what may be refused; a full disk is a refusal, too. */
async function writing(work: () => Promise<Refusal | null>): Promise<Refusal | null> {
  try {
    return await work()
  } catch (error) {
    return refusalOf(error)
  }
}

const meanwhile = (what: string): string =>
  `${what} was changed in another window since you opened it. Nothing was overwritten; your entries are still here.`

const unknown = (what: string): Refusal =>
  refuse('id', 'no such thing', `Load the page again and choose a ${what} of the list.`)

/** Saves a new product, or an edit of the version it was made from. */
export async function saveProduct(fromVersion: unknown, input: unknown): Promise<Refusal> {
  if (!v.is(v.nullable(versionNumber), fromVersion)) return unknown('product')
  const read = parse(productFile, input)
  if (!read.ok) return { problems: read.problems }
  const product = productOf(read.value)
  const refusal = await writing(async () => {
    const db = await database()
    const { currency } = await readSettings(db)
    if (fromVersion === null) {
      if (await findProduct(db, product.id))
        return refuse('name', product.name, 'There is a product of this name; give this one another.')
      const full = await inRoom(db, [product], 0)
      if (full) return full
      await db.transaction((transaction) => addProduct(transaction, product, currency))
      return null
    }
    const outcome = await updateProduct(db, fromVersion, product, currency)
    if (outcome === 'gone')
      return refuse('', product.name, 'This product was removed meanwhile; nothing was saved.')
    if (outcome === 'changedMeanwhile') {
      return refuse('version', product.name, meanwhile('This product'))
    }
    return null
  })
  if (refusal) return refusal
  return leadTo('/cabinet')
}

/** Takes down what was bought, counted or corrected of a product. */
export async function keepStock(id: unknown, input: unknown): Promise<Refusal> {
  if (!v.is(idText, id)) return unknown('product')
  const read = parse(stockInput, input)
  if (!read.ok) return { problems: read.problems }
  const refusal = await writing(async () => {
    const kept = await enterStock(await database(), id, read.value, currentTime())
    return kept.ok ? null : { problems: kept.problems }
  })
  if (refusal) return refusal
  revalidatePath('/cabinet', 'layout')
  return { problems: [] }
}

/** Whether one more product in use, or tool, still fits. */
async function inRoom(
  db: Database,
  added: readonly { archived: boolean }[],
  tools: number,
): Promise<Refusal | null> {
  const problem = roomProblem([...(await listProducts(db)), ...added], (await listTools(db)).length + tools)
  return problem && { problems: [problem] }
}

export async function archiveProduct(id: unknown, archived: unknown): Promise<Refusal> {
  if (!v.is(idText, id) || typeof archived !== 'boolean') return unknown('product')
  const refusal = await writing(async () => {
    const db = await database()
    const product = await findProduct(db, id)
    if (!product) return refuse('', id, 'This product was removed meanwhile.')
    const full = archived || !product.archived ? null : await inRoom(db, [{ archived: false }], 0)
    if (full) return full
    const { currency } = await readSettings(db)
    await updateProduct(db, product.version, { ...product, archived }, currency)
    return null
  })
  revalidatePath('/cabinet')
  return refusal ?? { problems: [] }
}

/** Saves a new tool, or an edit of the version it was made from. */
export async function saveTool(fromVersion: unknown, input: unknown): Promise<Refusal> {
  if (!v.is(v.nullable(versionNumber), fromVersion)) return unknown('tool')
  const read = parse(toolFile, input)
  if (!read.ok) return { problems: read.problems }
  const refusal = await writing(async () => {
    const db = await database()
    const tool = toolOf(read.value)
    if (fromVersion === null) {
      if (await findTool(db, tool.id))
        return refuse('name', tool.name, 'There is a tool of this name; give this one another.')
      const full = await inRoom(db, [], 1)
      if (full) return full
      await putTool(db, tool)
      return null
    }
    const outcome = await updateTool(db, fromVersion, tool)
    if (outcome === 'gone')
      return refuse('', tool.name, 'This tool was thrown away meanwhile; nothing was saved.')
    return outcome === 'changedMeanwhile' ? refuse('version', tool.name, meanwhile('This tool')) : null
  })
  if (refusal) return refusal
  return leadTo('/cabinet/tools')
}

export async function changeToolState(id: unknown, state: unknown): Promise<void> {
  if (v.is(idText, id) && v.is(oneOf(toolStates), state)) await setToolState(await database(), id, state)
  revalidatePath('/cabinet/tools')
}

export async function discardTool(id: unknown): Promise<Refusal> {
  if (!v.is(idText, id)) return unknown('tool')
  const refusal = await writing(async () => {
    await removeTool(await database(), id)
    return null
  })
  if (refusal) return refusal
  return leadTo('/cabinet/tools')
}

/** What can be looked at as an import at all. */
const importText = v.pipe(v.string(), v.maxLength(4_000_000, 'Give a file of at most 2 MB.'))

/** What an import would do; nothing is written. */
export async function lookAtImport(
  text: unknown,
): Promise<{ problems: readonly Problem[]; preview: ImportPreview | null }> {
  const read = parse(importText, text)
  if (!read.ok) return { problems: read.problems, preview: null }
  const looked = await answerOf(async () => previewImport(await database(), read.value))
  return { problems: looked.problems, preview: looked.value ?? null }
}

/** Takes an import over as it was looked at. */
export async function takeImport(text: unknown, seen: unknown): Promise<Refusal> {
  const read = parse(importText, text)
  if (!read.ok) return { problems: read.problems }
  if (typeof seen !== 'string') return refuse('', 'the import', 'Look at it first.')
  const refusal = await writing(async () => {
    const taken = await importCabinet(await database(), read.value, seen)
    return taken.ok ? null : { problems: taken.problems }
  })
  if (refusal) return refusal
  return leadTo('/cabinet')
}
