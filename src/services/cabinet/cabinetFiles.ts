import { message } from '@/core/message/message'
import { createHash } from 'node:crypto'
import type { Product } from '@/core/chemistry/product'
import { fail, succeed, type Problem, type Result } from '@/core/result'
import { soils } from '@/core/soils/soil'
import { productOf, toolOf } from '@/contracts/cabinet'
import type { ReadCabinet, ReadProduct } from '@/contracts/cabinetCsv'
import type { Database, Queryable } from '@/data/database'
import { listProducts, putProduct, type StoredProduct } from '@/data/queries/cabinet'
import { readSettings } from '@/data/queries/settings'
import { listTools, putTool, toolVersions } from '@/data/queries/tools'
import { inPool } from '@/pool/pool'
import { roomProblem } from './cabinetRoom'
import { productToFile } from '../jobs/planJob'

/** What an import would do, before anything is written. */
export interface ImportPreview {
  readonly added: readonly string[]
  readonly replaced: readonly string[]
  readonly tools: readonly string[]
  /** What it was looked at beside: another state is another import. */
  readonly seen: string
}

/** A product as it is after an import: of a known one, what the file says nothing about stays. */
function merged({ product: file, said }: ReadProduct, known: Product | undefined): Product {
  const product = productOf(file)
  if (!known) return product
  const unsaid = Object.entries(known).filter(([field]) => field !== 'ratings' && !said.has(field))
  const ratings = Object.fromEntries(
    soils.flatMap((soil) => {
      const rating = (said.has(`ratings.${soil}`) ? product : known).ratings[soil]
      return rating === undefined ? [] : [[soil, rating]]
    }),
  )
  return { ...product, ...Object.fromEntries(unsaid), ratings }
}

interface Import extends ImportPreview {
  readonly products: readonly Product[]
}

/** The versions of everything an import replaces, as one text. */
const stateOf = (
  { products, tools }: ReadCabinet,
  known: ReadonlyMap<string, StoredProduct>,
  toolVersion: ReadonlyMap<string, number>,
): string => {
  const versions = [
    ...products.map(({ product: { id } }) => `${id} ${known.get(id)?.version ?? 0}`),
    ...tools.map(({ id }) => `${id} ${toolVersion.get(id) ?? 0}`),
  ]
  return createHash('sha256').update(versions.join('\n')).digest('hex')
}

async function prepare(database: Queryable, cabinet: ReadCabinet): Promise<Import | Problem> {
  const { products, tools } = cabinet
  const known = new Map((await listProducts(database)).map((product) => [product.id, product]))
  const knownTools = await toolVersions(database)
  const after = new Map<string, Product>(known)
  const taken = products.map((read) => merged(read, known.get(read.product.id)))
  for (const product of taken) after.set(product.id, product)
  const toolIds = new Set([...knownTools.keys(), ...tools.map(({ id }) => id)])
  const names = (isKnown: boolean) =>
    taken.filter(({ id }) => known.has(id) === isKnown).map(({ name }) => name)
  return (
    roomProblem([...after.values()], toolIds.size) ?? {
      products: taken,
      added: names(false),
      replaced: names(true),
      tools: tools.map(({ name }) => name),
      seen: stateOf(cabinet, known, knownTools),
    }
  )
}

const previewOf = ({ added, replaced, tools, seen }: ImportPreview): ImportPreview => ({
  added,
  replaced,
  tools,
  seen,
})

/** Reads a table or a cabinet file and says what it would change. */
export async function previewImport(database: Database, text: string): Promise<Result<ImportPreview>> {
  const { currency } = await readSettings(database)
  const read = await inPool('readCabinet', { text, currency })
  if (!read.ok) return read
  const prepared = await prepare(database, read.value)
  return 'fix' in prepared ? fail(prepared) : succeed(previewOf(prepared))
}

/**
 * Takes a table or a cabinet file over, all of it or nothing.
 * @param seen what the look at it gave; where something it replaces was changed since then, nothing is taken. Null: nobody looked
 */
export async function importCabinet(
  database: Database,
  text: string,
  seen: string | null,
): Promise<Result<ImportPreview>> {
  const { currency } = await readSettings(database)
  const read = await inPool('readCabinet', { text, currency })
  if (!read.ok) return read
  return database.transaction(async (transaction) => {
    const prepared = await prepare(transaction, read.value)
    if ('fix' in prepared) return fail(prepared)
    if (seen !== null && seen !== prepared.seen)
      return fail({
        path: '',
        found: message('problems.cabinet.changes'),
        fix: message('problems.cabinet.changedElsewhere'),
      })
    for (const product of prepared.products) await putProduct(transaction, product, currency)
    for (const tool of read.value.tools) await putTool(transaction, toolOf(tool))
    return succeed(previewOf(prepared))
  })
}

/** The whole cabinet and kit as a cabinet file. */
export async function exportCabinet(database: Database) {
  return {
    format: 'even-spoke/cabinet/1',
    products: (await listProducts(database)).map(productToFile),
    tools: await listTools(database),
  } as const
}
