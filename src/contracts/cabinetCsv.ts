import { message } from '@/core/message/message'
import Papa from 'papaparse'
import { familyIds } from '@/core/chemistry/families'
import { writeDilution } from '@/core/dilution/writeDilution'
import type { Product } from '@/core/chemistry/product'
import { minorPerUnit } from '@/core/quantity/money'
import { fail, failWith, showFound, succeed, type Problem, type Result } from '@/core/result'
import { soils } from '@/core/soils/soil'
import { idsOnce, productFile, type ProductFile, type ToolFile } from './cabinet'
import type { VolumeSystem } from '@/core/units/jug'
import { fromStored, kindOfUnit, toStored, type UnitName } from '@/core/units/unit'
import { meaningsOf } from '@/core/units/unitWords'
import { cabinetFile } from './formats'
import { readJsonText } from './jsonText'
import { parse } from './problems'
import { decimalMarkOf, readTableNumber, writeTableNumber, type DecimalMark } from './tableNumber'
import { readTableText, writeTableText } from './tableText'

/** Larger than any honest cabinet. */
export const longestCabinetBytes = 2_000_000

/** More no shop has, archived ones counted. */
const maxRows = 5000
/** Nobody fixes more at once; then the rest is not looked at. */
const maxProblems = 200

const ratingColumns = soils.map((soil) => `rating ${soil}`)
const columns = [
  'id', 'name', 'family', 'strength', 'shortest dwell s', 'longest dwell s', 'longest means', 'delivery', 'pack ml', 'pack price',
  'stock ml', 'other packs', 'wear', 'note', 'contains fluoride', 'fluoride checked', 'archived', ...ratingColumns,
] as const // prettier-ignore
const needed = ['id', 'name', 'family'] as const

/** The columns of volumes; a table may have them in another unit, which stands in their name: `pack US fl oz`. */
const volumeColumns = ['pack ml', 'stock ml'] as const
type VolumeColumn = (typeof volumeColumns)[number]
const isVolumeColumn = (column: string): column is VolumeColumn => volumeColumns.some((one) => one === column)

/** Units of volumes in a table, with the name that says them everywhere. */
const tableUnits = {
  metric: ['millilitre', 'ml'],
  us: ['usFluidOunce', 'US fl oz'],
  imperial: ['imperialFluidOunce', 'imperial fl oz'],
} as const satisfies Record<VolumeSystem, readonly [UnitName, string]>

/** Enough that no volume changes on its way there and back. */
const tableDecimals = 6
const keptDecimals = 3
const rounded = (value: number, decimals: number): number => Number(value.toFixed(decimals))

/**
 * The cabinet as a table: prices in whole units of the currency, strengths as people write them.
 * @param system of the volumes; their unit stands in the name of the column
 */
export function writeCabinetCsv(
  products: readonly Product[],
  currency: string,
  system: VolumeSystem = 'metric',
): string {
  const [unit, unitName] = tableUnits[system]
  const volume = (millilitres: number): string =>
    writeTableNumber(rounded(fromStored(millilitres, unit), tableDecimals))
  const rows = products.map((product) => [
    writeTableText(product.id),
    writeTableText(product.name),
    product.family,
    writeDilution(product.strength, 'percent'),
    product.dwellSeconds.min,
    product.dwellSeconds.max,
    product.longest ?? '',
    product.delivery,
    volume(product.packMillilitres),
    writeTableNumber(product.packPriceMinor / minorPerUnit(currency)),
    volume(product.stockMillilitres),
    product.otherPacks
      .map(
        ({ millilitres, priceMinor }) =>
          `${volume(millilitres)} ${unitName} ${writeTableNumber(priceMinor / minorPerUnit(currency))}`,
      )
      .join('; '),
    product.wear ?? '',
    writeTableText(product.note ?? ''),
    product.containsFluoride ? 'yes' : '',
    product.fluorideChecked ? 'yes' : '',
    product.archived ? 'yes' : '',
    ...soils.map((soil) => product.ratings[soil] ?? ''),
  ])
  const fields = columns.map((column) => (isVolumeColumn(column) ? column.replace(/ml$/, unitName) : column))
  return Papa.unparse({ fields, data: rows })
}

const volumeUnits = (word: string): UnitName[] =>
  meaningsOf(word).filter((unit) => kindOfUnit(unit) === 'volume')

/** A column by its name, whatever its capitals, and the unit of its numbers if it is one of volumes. */
function columnNamed(name: string): { readonly column: string; readonly unit?: UnitName } {
  const plain = name.trim().toLowerCase()
  const [, what, word] = /^(pack|stock) (?!price)(.+)$/.exec(plain) ?? []
  const [unit, another] = word === undefined ? [] : volumeUnits(word)
  if (unit && !another) return { column: `${what} ml`, unit }
  return { column: columns.find((column) => column.toLowerCase() === plain) ?? name.trim() }
}

/** How the cells of a table are read. */
interface Cells {
  readonly currency: string
  readonly decimal: DecimalMark | null
  readonly units: ReadonlyMap<string, UnitName>
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

/** A cell with a number: the number, or where it is none the text, which the contract refuses by its field. */
const numberIn = (text: string, decimal: DecimalMark | null): number | string => {
  const read = readTableNumber(text, decimal)
  return read.kind === 'number' ? read.value : text
}

const minorIn = (text: string, currency: string, decimal: DecimalMark | null): number | string => {
  const price = numberIn(text, decimal)
  return typeof price === 'number' ? Math.round(price * minorPerUnit(currency)) : price
}

/** A volume of a table in millilitres; what is no number as it stands. */
function millilitresIn(text: string, unit: UnitName, decimal: DecimalMark | null): number | string {
  const value = numberIn(text, decimal)
  return typeof value === 'number' ? rounded(toStored(value, unit), keptDecimals) : value
}

/** Other packs as a cell has them: `5000 ml 40; 10000 ml 75.50`, or in another unit `1 US gal 24.99`. */
const packsIn = (text: string, { currency, decimal }: Cells): unknown =>
  text
    .split(';')
    .filter((pack) => pack.trim() !== '')
    .map((pack) => {
      const [, amount = '', word = '', price = ''] =
        /^\s*(\S[^a-z]*?)\s*([a-z][a-z. ]*?)\s+([^a-z]*\S)\s*$/i.exec(pack) ?? []
      const [unit, another] = volumeUnits(word)
      return {
        millilitres: unit && !another ? millilitresIn(amount, unit, decimal) : pack,
        priceMinor: minorIn(price, currency, decimal),
      }
    })

function productOfRow(row: Record<string, string>, cells: Cells): unknown {
  const { currency, decimal, units } = cells
  const cell = (column: (typeof columns)[number]) => (row[column] ?? '').trim()
  const text = (column: (typeof columns)[number]) => readTableText(cell(column))
  const number = (column: (typeof columns)[number]) =>
    cell(column) === '' ? undefined : numberIn(cell(column), decimal)
  const volume = (column: VolumeColumn) =>
    cell(column) === '' ? undefined : millilitresIn(cell(column), units.get(column) ?? 'millilitre', decimal)
  const optional = (column: (typeof columns)[number]) => cell(column) || undefined
  const [min, max] = [number('shortest dwell s'), number('longest dwell s')]
  const ratings = Object.fromEntries(
    soils.flatMap((soil) => {
      const found = cell(`rating ${soil}`)
      return found === '' ? [] : [[soil, numberIn(found, decimal)]]
    }),
  )
  const price = cell('pack price')
  const packs = cell('other packs')
  return {
    id: text('id'),
    name: text('name'),
    family: text('family'),
    strength: optional('strength'),
    ...(min !== undefined || max !== undefined ? { dwellSeconds: { min: min ?? 0, max: max ?? min } } : {}),
    longest: optional('longest means'),
    delivery: optional('delivery'),
    packMillilitres: volume('pack ml'),
    packPriceMinor: price === '' ? undefined : minorIn(price, currency, decimal),
    stockMillilitres: volume('stock ml'),
    ...(packs === '' ? {} : { otherPacks: packsIn(packs, cells) }),
    wear: optional('wear'),
    note: text('note'),
    containsFluoride: yes(text('contains fluoride')),
    fluorideChecked: yes(text('fluoride checked')),
    archived: yes(text('archived')),
    ratings,
  }
}

/** Columns whose cells are one number. */
const numberColumns = [
  'shortest dwell s', 'longest dwell s', 'pack ml', 'pack price', 'stock ml', ...ratingColumns,
] as const // prettier-ignore

const numberCells = (rows: readonly Record<string, string>[]): string[] =>
  rows.flatMap((row) => numberColumns.map((column) => row[column] ?? ''))

/** Numbers of a row that could be two: a person has to say which. */
function unclearIn(row: Record<string, string>, line: number, decimal: DecimalMark | null): Problem[] {
  return numberColumns.flatMap((column): Problem[] => {
    const found = row[column] ?? ''
    const read = readTableNumber(found, decimal)
    return read.kind === 'unclear'
      ? [
          {
            path: `row ${line}, ${column}`,
            found: showFound(found),
            fix: message('problems.table.whichNumber', {
              first: String(read.readings[0]),
              second: writeTableNumber(read.readings[1]),
            }),
          },
        ]
      : []
  })
}

const fieldOfColumn: Partial<Record<string, string>> = {
  'shortest dwell s': 'dwellSeconds',
  'longest dwell s': 'dwellSeconds',
  'longest means': 'longest',
  'pack ml': 'packMillilitres',
  'pack price': 'packPriceMinor',
  'stock ml': 'stockMillilitres',
  'other packs': 'otherPacks',
  'contains fluoride': 'containsFluoride',
  'fluoride checked': 'fluorideChecked',
}

/** Columns by the field a problem stands at, so that a person finds the cell. */
const columnOf = (path: string): string =>
  path === 'dwellSeconds.min'
    ? 'shortest dwell s'
    : (columns.findLast((column) => fieldOfColumn[column] === path.replace(/\..*/, '')) ??
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
  const units = new Map<string, UnitName>()
  const table = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, '').trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => {
      const { column, unit } = columnNamed(name)
      if (unit) units.set(column, unit)
      return column
    },
  })
  const fields = table.meta.fields ?? []
  const missing = needed.filter((column) => !fields.includes(column))
  if (missing.length > 0) {
    return fail({
      path: 'row 1',
      found: showFound(fields.join(', ')),
      fix: message('problems.table.missing', { columns: missing.join(', ') }),
    })
  }
  const known: readonly string[] = columns
  const unclear = fields.find(
    (field) => /^(pack|stock) /i.test(field) && volumeUnits(field.replace(/^\S+ /, '')).length > 1,
  )
  if (unclear !== undefined)
    return fail({
      path: 'row 1',
      found: showFound(unclear),
      fix: message('problems.table.whichOunces', {
        us: unclear.replace(' ', ' US '),
        imperial: unclear.replace(' ', ' imperial '),
      }),
    })
  const unknown = fields.filter((field) => field !== '' && !known.includes(field))
  if (unknown.length > 0) {
    return fail({
      path: 'row 1',
      found: showFound(unknown.join(', ')),
      fix: message('problems.table.unknown', { columns: columns.join(', ') }),
    })
  }
  if (table.data.length === 0)
    return fail({
      path: '',
      found: message('problems.table.noRows'),
      fix: message('problems.table.onlyHeader'),
    })
  if (table.data.length > maxRows)
    return fail({
      path: '',
      found: message('problems.table.rows', { count: table.data.length }),
      fix: message('problems.table.tooMany', { most: maxRows }),
    })
  const decimal = decimalMarkOf(numberCells(table.data))
  const problems: Problem[] = []
  const products: ReadProduct[] = []
  const ids = new Map<string, number>()
  for (const [index, row] of table.data.entries()) {
    if (problems.length >= maxProblems) break
    const line = index + 2
    const unclear = unclearIn(row, line, decimal)
    const read = parse(productFile, productOfRow(row, { currency, decimal, units }))
    if (unclear.length > 0) problems.push(...unclear)
    else if (!read.ok)
      problems.push(
        ...read.problems.map((problem) => ({ ...problem, path: `row ${line}, ${columnOf(problem.path)}` })),
      )
    else {
      const before = ids.get(read.value.id)
      if (before !== undefined)
        problems.push({
          path: `row ${line}, id`,
          found: showFound(read.value.id),
          fix: message('problems.table.sameId', { row: before }),
        })
      ids.set(read.value.id, line)
      products.push({ product: read.value, said: new Set(saidByRow(row)) })
    }
  }
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
      found: message('problems.file.characters', { count: text.length }),
      fix: message('problems.file.cabinetSize'),
    })
  }
  if (text.trim() === '')
    return fail({ path: '', found: message('problems.file.nothing'), fix: message('problems.file.empty') })
  if (!/^\uFEFF?\s*[{[]/.test(text)) {
    const products = readCabinetCsv(text, currency)
    return products.ok ? succeed({ products: products.value, tools: [] }) : products
  }
  const json = readJsonText(text)
  if (!json.ok)
    return fail({
      path: '',
      found: showFound(text.slice(0, 40)),
      fix: message('problems.file.neither'),
    })
  const read = parse(cabinetFile, json.value)
  if (!read.ok) return read
  const { products, tools } = read.value
  if (!idsOnce(products))
    return fail({
      path: 'products',
      found: message('problems.file.idTwice'),
      fix: message('problems.file.productIds'),
    })
  if (!idsOnce(tools))
    return fail({
      path: 'tools',
      found: message('problems.file.idTwice'),
      fix: message('problems.file.toolIds'),
    })
  const written = (json.value as { products?: object[] }).products ?? []
  return succeed({
    products: products.map((product, at) => ({ product, said: new Set(saidByEntry(written[at] ?? {})) })),
    tools,
  })
}

/** Families a table may name, for the text beside the import. */
export const familyColumnText = familyIds.join(', ')
