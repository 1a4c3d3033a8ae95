'use server'

import { issueText } from '@/contracts/issueText'
import { message, type Message } from '@/core/message/message'
import { currentTime } from '@/clock'
import { revalidatePath } from 'next/cache'
import * as v from 'valibot'
import { familyIds } from '@/core/chemistry/families'
import { productFromFamily } from '@/core/chemistry/starterCabinet'
import { succeed, type Problem } from '@/core/result'
import { toolStates } from '@/core/tools/tool'
import { productFile, productOf, toolFile, toolOf } from '@/contracts/cabinet'
import { idText, oneOf, versionNumber } from '@/contracts/fields'
import { stockInput } from '@/contracts/stock'
import { database, type Database } from '@/services/records'
import {
  addProduct,
  enterStock,
  findProduct,
  findTool,
  importCabinet,
  type ImportPreview,
  listProducts,
  listTools,
  previewImport,
  putTool,
  removeTool,
  roomProblem,
  setToolState,
  updateProduct,
  updateTool,
} from '@/services/cabinet'
import { readSettings } from '@/services/settings'
import { action } from '../access'
import { answerOf, leadTo, refusalOf, refuse, type Refusal } from '../refusal'

/** Runs what may be refused; a full disk is a refusal, too. */
async function writing(work: () => Promise<Refusal | null>): Promise<Refusal | null> {
  try {
    return await work()
  } catch (error) {
    return refusalOf(error)
  }
}

const meanwhile = (what: 'product' | 'tool'): Message => message('problems.cabinet.meanwhile', { what })

/** The version an edit was made from; null: it is something new. */
const editedVersion = v.nullable(versionNumber)

/** Saves a new product, or an edit of the version it was made from. */
export const saveProduct = action(
  'owner',
  [editedVersion, productFile],
  async (fromVersion, file): Promise<Refusal> => {
    const product = productOf(file)
    const refusal = await writing(async () => {
      const db = await database()
      const { currency } = await readSettings(db)
      if (fromVersion === null) {
        if (await findProduct(db, product.id))
          return refuse('name', product.name, message('problems.cabinet.productNamed'))
        const full = await inRoom(db, [product], 0)
        if (full) return full
        await db.transaction((transaction) => addProduct(transaction, product, currency))
        return null
      }
      const outcome = await updateProduct(db, fromVersion, product, currency)
      if (outcome === 'gone') return refuse('', product.name, message('problems.cabinet.productGone'))
      if (outcome === 'changedMeanwhile') {
        return refuse('version', product.name, meanwhile('product'))
      }
      return null
    })
    return refusal ?? leadTo('/cabinet')
  },
)

/** Adds starter products, one of each kind that was chosen; those that are there already stay as they are. */
export const addStarterProducts = action(
  'owner',
  [v.array(oneOf(familyIds))],
  async (families): Promise<Refusal> => {
    const refusal = await writing(async () => {
      const db = await database()
      const { currency } = await readSettings(db)
      const known = new Set((await listProducts(db)).map(({ id }) => id))
      const added = [...new Set(families)].filter((id) => !known.has(id)).map((id) => productFromFamily(id))
      const full = await inRoom(db, added, 0)
      if (full) return full
      await db.transaction(async (transaction) => {
        for (const product of added) await addProduct(transaction, product, currency)
      })
      return null
    })
    revalidatePath('/cabinet')
    return refusal ?? { problems: [] }
  },
)

/** Saves what was bought, counted or corrected of a product. */
export const keepStock = action('owner', [idText, stockInput], async (id, input): Promise<Refusal> => {
  const { problems } = await answerOf(async () => enterStock(await database(), id, input, currentTime()))
  if (problems.length === 0) revalidatePath('/cabinet', 'layout')
  return { problems }
})

/** Whether one more product in use, or tool, still fits. */
async function inRoom(
  db: Database,
  added: readonly { archived: boolean }[],
  tools: number,
): Promise<Refusal | null> {
  const problem = roomProblem([...(await listProducts(db)), ...added], (await listTools(db)).length + tools)
  return problem && { problems: [problem] }
}

/** Archives a product, or brings it back. */
export const archiveProduct = action(
  'owner',
  [idText, v.boolean()],
  async (id, archived): Promise<Refusal> => {
    const refusal = await writing(async () => {
      const db = await database()
      const product = await findProduct(db, id)
      if (!product) return refuse('', id, message('problems.cabinet.productGone'))
      const full = archived || !product.archived ? null : await inRoom(db, [{ archived: false }], 0)
      if (full) return full
      const { currency } = await readSettings(db)
      await updateProduct(db, product.version, { ...product, archived }, currency)
      return null
    })
    revalidatePath('/cabinet')
    return refusal ?? { problems: [] }
  },
)

/** Saves a new tool, or an edit of the version it was made from. */
export const saveTool = action(
  'owner',
  [editedVersion, toolFile],
  async (fromVersion, file): Promise<Refusal> => {
    const tool = toolOf(file)
    const refusal = await writing(async () => {
      const db = await database()
      if (fromVersion === null) {
        if (await findTool(db, tool.id))
          return refuse('name', tool.name, message('problems.cabinet.toolNamed'))
        const full = await inRoom(db, [], 1)
        if (full) return full
        await putTool(db, tool)
        return null
      }
      const outcome = await updateTool(db, fromVersion, tool)
      if (outcome === 'gone') return refuse('', tool.name, message('problems.cabinet.toolGone'))
      return outcome === 'changedMeanwhile' ? refuse('version', tool.name, meanwhile('tool')) : null
    })
    return refusal ?? leadTo('/cabinet/tools')
  },
)

/** Says whether a tool is clean, dropped or worn. */
export const changeToolState = action(
  'owner',
  [idText, oneOf(toolStates)],
  async (id, state): Promise<Refusal> => {
    const { problems } = await answerOf(async () => succeed(await setToolState(await database(), id, state)))
    revalidatePath('/cabinet/tools')
    return { problems }
  },
)

/** Deletes a tool. */
export const discardTool = action('owner', [idText], async (id): Promise<Refusal> => {
  const { problems } = await answerOf(async () => succeed(await removeTool(await database(), id)))
  return problems.length > 0 ? { problems } : leadTo('/cabinet/tools')
})

/** What can be looked at as an import at all. */
const importText = v.pipe(v.string(), v.maxLength(4_000_000, issueText('problems.file.cabinetSize')))

/** What an import would do; nothing is written. */
export const lookAtImport = action(
  'owner',
  [importText],
  async (text): Promise<{ problems: readonly Problem[]; preview: ImportPreview | null }> => {
    const looked = await answerOf(async () => previewImport(await database(), text))
    return { problems: looked.problems, preview: looked.value ?? null }
  },
)

/** Imports a file as it was previewed. */
export const takeImport = action(
  'owner',
  [importText, v.string(issueText('problems.cabinet.previewFirst'))],
  async (text, seen): Promise<Refusal> => {
    const { problems } = await answerOf(async () => importCabinet(await database(), text, seen))
    return problems.length > 0 ? { problems } : leadTo('/cabinet')
  },
)
