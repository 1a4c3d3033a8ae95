import Papa from 'papaparse'
import { familyIds } from '@/core/chemistry/families'
import { writeDilution } from '@/core/dilution'
import type { Product } from '@/core/chemistry/product'
import { minorPerUnit } from '@/core/quantity/money'
import { fail, failWith, showFound, succeed, type Problem, type Result } from '@/core/result'
import { soils } from '@/core/soils/soil'
import { idsOnce, productFile, type ProductFile, type ToolFile } from './cabinet'
import { cabinetFile } from './formats'
import { readJsonText } from './jsonText'
import { parse } from './problems'

/** Larger than any honest cabinet. */
export const longestCabinetBytes = 2_000_000

const ratingColumns = soils.map((soil) => `rating ${soil}`)
const columns = [
  'id', 'name', 'family', 'strength', 'shortest dwell s', 'longest dwell s', 'delivery', 'pack ml', 'pack price',
  'stock ml', 'wear', 'note', 'contains fluoride', 'fluoride checked', 'archived', ...ratingColumns,
] as const // prettier-ignore
const needed = ['id', 'name', 'family'] as const

/** The cabinet as a table: prices in whole units of the currency, strengths as people write them. */
export function writeCabinetCsv(products: readonly Product[], currency: string): string {
  const rows = products.map((product) => [
    product.id,
    product.name,
    product.family,
    writeDilution(product.strength, 'percent'),
    product.dwellSeconds.min,
    product.dwellSeconds.max,
    product.delivery,
    product.packMillilitres,
    product.packPriceMinor / minorPerUnit(currency),
    product.stockMillilitres,
    product.wear ?? '',
    product.note ?? '',
    product.containsFluoride ? 'yes' : '',
    product.fluorideChecked ? 'yes' : '',
    product.archived ? 'yes' : '',
    ...soils.map((soil) => product.ratings[soil] ?? ''),
  ])
  // A text that starts like a formula is one to a spreadsheet; the quote keeps it a text.
  return Papa.unparse({ fields: [...columns], data: rows }, { escapeFormulae: true })
}

/** Columns are found whatever their capitals. */
const canonical = (name: string): string =>
  columns.find((column) => column.toLowerCase() === name.trim().toLowerCase()) ?? name.trim()

/** A number as either half of the world writes it: 1,290.50, 1.290,50, 12,9. */
export function readNumber(text: string): number {
  const plain = text.replace(/[\s\u00a0']/g, '')
  const last = Math.max(plain.lastIndexOf(','), plain.lastIndexOf('.'))
  if (last < 0) return Number(plain)
  const both = plain.includes(',') && plain.includes('.')
  const repeated = (plain.match(/[.,]/g) ?? []).length > 1
  if (both || !repeated) {
    return Number(`${plain.slice(0, last).replace(/[.,]/g, '')}.${plain.slice(last + 1)}`)
  }
  return Number(plain.replace(/[.,]/g, ''))
}

const yes = (text: string): boolean => /^(yes|true|1|x|ja)$/i.test(text)

/** Fields that an empty cell says something about: as the family has it, or no. */
const saidByEmptyCell: readonly string[] = [
  'wear',
  'note',
  'contains fluoride',
  'fluoride checked',
  'archived',
  ...ratingColumns,
]

/** Fields of a product that a row of the table speaks of; a rating as `ratings.soil`. */
const saidByRow = (row: Record<string, string>): string[] =>
  columns
    .filter((column) => row[column] !== undefined)
    .filter((column) => saidByEmptyCell.includes(column) || (row[column] ?? '').trim() !== '')
    .map((column) => fieldOfColumn[column] ?? column.replace('rating ', 'ratings.'))

function productOfRow(row: Record<string, string>, currency: string): unknown {
  const text = (column: (typeof columns)[number]) => (row[column] ?? '').trim()
  const number = (column: (typeof columns)[number]) => {
    const found = text(column)
    if (found === '') return undefined
    const value = readNumber(found)
    return Number.isFinite(value) ? value : found
  }
  const optional = (column: (typeof columns)[number]) => text(column) || undefined
  const price = number('pack price')
  const [min, max] = [number('shortest dwell s'), number('longest dwell s')]
  const ratings = Object.fromEntries(
    soils.flatMap((soil) => {
      const found = (row[`rating ${soil}`] ?? '').trim()
      return found === '' ? [] : [[soil, Number.isFinite(readNumber(found)) ? readNumber(found) : found]]
    }),
  )
  return {
    id: text('id'),
    name: text('name').replace(/^'(?=[=+\-@])/, ''),
    family: text('family'),
    strength: optional('strength'),
    ...(min !== undefined || max !== undefined ? { dwellSeconds: { min: min ?? 0, max: max ?? min } } : {}),
    delivery: optional('delivery'),
    packMillilitres: number('pack ml'),
    packPriceMinor: typeof price === 'number' ? Math.round(price * minorPerUnit(currency)) : price,
    stockMillilitres: number('stock ml'),
    wear: optional('wear'),
    note: text('note').replace(/^'(?=[=+\-@])/, ''),
    containsFluoride: yes(text('contains fluoride')),
    fluorideChecked: yes(text('fluoride checked')),
    archived: yes(text('archived')),
    ratings,
  }
}

const fieldOfColumn: Partial<Record<string, string>> = {
  'shortest dwell s': 'dwellSeconds',
  'longest dwell s': 'dwellSeconds',
  'pack ml': 'packMillilitres',
  'pack price': 'packPriceMinor',
  'stock ml': 'stockMillilitres',
  'contains fluoride': 'containsFluoride',
  'fluoride checked': 'fluorideChecked',
}

/** Columns by the field a problem stands at, so that a person finds the cell. */
const columnOf = (path: string): string =>
  path === 'dwellSeconds.min'
    ? 'shortest dwell s'
    : (columns.findLast((column) => fieldOfColumn[column] === path.replace('.max', '')) ??
      path.replace('ratings.', 'rating '))

/** A product of a file, and the fields that the file speaks of; of a known product the others stay. */
export interface ReadProduct {
  readonly product: ProductFile
  readonly said: ReadonlySet<string>
}

/**
 * Reads a cabinet from a table: comma or semicolon, decimal point or comma, with or without a byte order mark. Every
 * problem names its row (the head is row 1) and its column; one problem and nothing is taken.
 */
function readCabinetCsv(text: string, currency: string): Result<ReadProduct[]> {
  const table = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, '').trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: canonical,
  })
  const fields = table.meta.fields ?? []
  const missing = needed.filter((column) => !fields.includes(column))
  if (missing.length > 0) {
    return fail({
      path: 'row 1',
      found: showFound(fields.join(', ')),
      mend: `The table needs the columns ${missing.join(', ')}. An export of the cabinet shows them all.`,
    })
  }
  const known: readonly string[] = columns
  const unknown = fields.filter((field) => field !== '' && !known.includes(field))
  if (unknown.length > 0) {
    return fail({
      path: 'row 1',
      found: showFound(unknown.join(', ')),
      mend: `These columns are not known; remove or rename them. Known are: ${columns.join(', ')}.`,
    })
  }
  if (table.data.length === 0)
    return fail({ path: '', found: 'no rows', mend: 'The table has a head but no products.' })
  const problems: Problem[] = []
  const products: ReadProduct[] = []
  const ids = new Map<string, number>()
  table.data.forEach((row, index) => {
    const line = index + 2
    const read = parse(productFile, productOfRow(row, currency))
    if (read.ok) {
      const before = ids.get(read.value.id)
      if (before !== undefined) {
        problems.push({
          path: `row ${line}, id`,
          found: showFound(read.value.id),
          mend: `The same id stands in row ${before}; give each product its own.`,
        })
      }
      ids.set(read.value.id, line)
      products.push({ product: read.value, said: new Set(saidByRow(row)) })
      return
    }
    problems.push(
      ...read.problems.map((problem) => ({ ...problem, path: `row ${line}, ${columnOf(problem.path)}` })),
    )
  })
  return problems.length > 0 ? failWith(problems) : succeed(products)
}

const saidByEntry = (entry: object): string[] =>
  Object.keys(entry).flatMap((field) =>
    field === 'ratings' ? soils.map((soil) => `ratings.${soil}`) : [field],
  )

/** What an import brings. */
export interface ReadCabinet {
  readonly products: readonly ReadProduct[]
  readonly tools: readonly ToolFile[]
}

/**
 * Reads a cabinet from a table or from a cabinet file in JSON, whichever it is.
 * @param currency of the prices in a table
 */
export function readCabinetText(text: string, currency: string): Result<ReadCabinet> {
  if (new TextEncoder().encode(text).length > longestCabinetBytes) {
    return fail({
      path: '',
      found: `${text.length} characters`,
      mend: 'A cabinet has at most 2 MB; this is something else.',
    })
  }
  if (text.trim() === '') return fail({ path: '', found: 'nothing', mend: 'The file is empty.' })
  if (!/^\uFEFF?\s*[{[]/.test(text)) {
    const products = readCabinetCsv(text, currency)
    return products.ok ? succeed({ products: products.value, tools: [] }) : products
  }
  const json = readJsonText(text)
  if (!json.ok)
    return fail({ path: '', found: showFound(text.slice(0, 40)), mend: 'This is neither a table nor JSON.' })
  const read = parse(cabinetFile, json.value)
  if (!read.ok) return read
  const { products, tools } = read.value
  if (!idsOnce(products))
    return fail({ path: 'products', found: 'an id twice', mend: 'Give each product its own id.' })
  if (!idsOnce(tools))
    return fail({ path: 'tools', found: 'an id twice', mend: 'Give each tool its own id.' })
  const written = (json.value as { products?: object[] }).products ?? []
  return succeed({
    products: products.map((product, at) => ({ product, said: new Set(saidByEntry(written[at] ?? {})) })),
    tools,
  })
}

/** Families a table may name, for the text beside the import. */
export const familyColumnText = familyIds.join(', ')
