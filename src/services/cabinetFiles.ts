import type { ProductFile } from '@/contracts/cabinet'
import { productOf, toolOf } from '@/contracts/cabinet'
import { readCabinetText } from '@/contracts/cabinetCsv'
import { succeed, type Result } from '@/core/result'
import type { Database } from '@/data/database'
import { listProducts, putProducts } from '@/data/queries/cabinet'
import { readSettings } from '@/data/queries/settings'
import { listTools, putTools } from '@/data/queries/tools'
import { productToFile } from './planJob'

/** What an import would do, before anything is written. */
export interface ImportPreview {
  readonly added: readonly string[]
  readonly replaced: readonly string[]
  readonly tools: readonly string[]
}

/** Reads a table or a cabinet file and says what it would change. */
export async function previewImport(database: Database, text: string): Promise<Result<ImportPreview>> {
  const read = readCabinetText(text)
  if (!read.ok) return read
  const known = new Set((await listProducts(database)).map(({ id }) => id))
  const names = (list: readonly ProductFile[]) => list.map(({ name }) => name)
  return succeed({
    added: names(read.value.products.filter(({ id }) => !known.has(id))),
    replaced: names(read.value.products.filter(({ id }) => known.has(id))),
    tools: read.value.tools.map(({ name }) => name),
  })
}

/** Takes a table or a cabinet file over, all of it or nothing. */
export async function importCabinet(database: Database, text: string): Promise<Result<ImportPreview>> {
  const preview = await previewImport(database, text)
  const read = readCabinetText(text)
  if (!preview.ok || !read.ok) return preview
  const { currency } = await readSettings(database)
  await putProducts(database, read.value.products.map(productOf), currency)
  await putTools(database, read.value.tools.map(toolOf))
  return preview
}

/** The whole cabinet and kit as a cabinet file. */
export async function exportCabinet(database: Database) {
  return {
    format: 'even-spoke/cabinet/1',
    products: (await listProducts(database)).map(productToFile),
    tools: await listTools(database),
  } as const
}
