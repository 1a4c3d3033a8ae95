import { inEnglish } from '@/i18n/testEnglish'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import Papa from 'papaparse'
import * as v from 'valibot'
import { productFile, productOf } from './cabinet'
import { readCabinetText, writeCabinetCsv } from './cabinetCsv'

const demo = v
  .parse(v.array(productFile), JSON.parse(readFileSync('src/demo/data/cabinet.json', 'utf8')))
  .map(productOf)
const readCabinetCsv = (text: string) => {
  const read = readCabinetText(text, 'EUR')
  return read.ok ? { ...read, value: read.value.products.map(({ product }) => product) } : read
}
const head = 'id,name,family,strength,pack ml,pack price'
const problems = (text: string) => {
  const read = readCabinetText(text, 'EUR')
  return read.ok ? [] : inEnglish(read.problems).map(({ path, fix }) => `${path}: ${fix}`)
}

describe('a cabinet as a table', () => {
  it('written out and read again is the same cabinet', () => {
    const read = readCabinetCsv(writeCabinetCsv(demo, 'EUR'))
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    expect(read.value).toHaveLength(demo.length)
    read.value.map(productOf).forEach((product, index) => {
      const original = demo[index]!
      expect(product).toMatchObject({ id: original.id, name: original.name, family: original.family })
      expect(product.strength.to).toBeCloseTo(original.strength.to, 3)
      expect(product.packPriceMinor).toBe(original.packPriceMinor)
      expect(product.dwellSeconds).toEqual(original.dwellSeconds)
    })
  })

  it.each(['us', 'imperial'] as const)(
    'in %s ounces is read back by a shop that measures in millilitres',
    (system) => {
      const text = writeCabinetCsv(demo, 'USD', system)
      expect(text).not.toMatch(/\bml\b/)
      const read = readCabinetCsv(text)
      if (!read.ok) throw new Error(JSON.stringify(read.problems))
      const volumes = (product: (typeof demo)[number]) => [
        product.packMillilitres,
        product.stockMillilitres,
        ...product.otherPacks.map(({ millilitres }) => millilitres),
      ]
      expect(read.value.map(productOf).map(volumes)).toEqual(demo.map(volumes))
    },
  )

  it.each([
    ['pack US gal', '1', 3785.412],
    ['Pack l', '0,5', 500],
    ['PACK UK PT', '1', 568.261],
  ])('reads %s', (column, cell, millilitres) => {
    const read = readCabinetCsv(`id;name;family;${column}\nsoap;Soap;wheelShampoo;${cell}`)
    expect(read.ok && read.value[0]?.packMillilitres).toBe(millilitres)
  })

  it('asks whose ounces a column means', () =>
    expect(problems('id,name,family,pack fl oz\nsoap,Soap,wheelShampoo,16')).toEqual([
      'row 1: Say whose ounces or gallons these are: “pack US fl oz” or “pack imperial fl oz”.',
    ]))

  it('takes semicolons, decimal commas, a byte order mark and Windows line ends', () => {
    const text = `\uFEFFID;Name;Family;Pack ml;Pack price;rating film\r\nsoap;"Tallow; soap";wheelShampoo;1.000;17,90;2\r\n`
    const read = readCabinetCsv(text)
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    expect(read.value[0]).toMatchObject({
      id: 'soap',
      name: 'Tallow; soap',
      packPriceMinor: 1790,
      ratings: { film: 2 },
    })
  })

  it('comes back the very same, whatever its texts begin with, and nothing in it runs in a spreadsheet', () => {
    const begin = fc.constantFrom('', '=', '-', '+', '@', "'", "'=", "''", "'-1")
    const text = fc
      .tuple(begin, fc.stringMatching(/^[a-z ,;"']{1,12}[a-z]$/))
      .map((parts) => parts.join('').trim())
    const amount = fc.integer({ min: 1, max: 9_000_000 }).map((thousandths) => thousandths / 1000)
    const pack = fc.record({
      millilitres: amount.filter((one) => one >= 1),
      priceMinor: fc.integer({ min: 1, max: 9_000_000 }),
    })
    const product = fc.record({
      id: text,
      name: text,
      note: fc.oneof(fc.constant(''), text),
      packMillilitres: amount.filter((one) => one >= 1),
      packPriceMinor: fc.integer({ min: 1, max: 9_000_000 }),
      stockMillilitres: amount,
      otherPacks: fc.array(pack, { maxLength: 3 }),
    })
    fc.assert(
      fc.property(fc.array(product, { minLength: 1, maxLength: 4 }), (changes) => {
        const products = changes.map((change, at) => ({ ...demo[at]!, ...change, id: `${change.id}${at}` }))
        const table = writeCabinetCsv(products, 'EUR')
        const cells = Papa.parse<string[]>(table).data.flat()
        expect(cells.filter((cell) => /^[=+@\t\r]|^-(?!\d)/.test(cell))).toEqual([])
        const read = readCabinetCsv(table)
        if (!read.ok) throw new Error(JSON.stringify(read.problems))
        read.value.map(productOf).forEach((one, at) => {
          const { id, name, note, packMillilitres, packPriceMinor, stockMillilitres, otherPacks } =
            products[at]!
          const trimmed = { id: id.trim(), name: name.trim(), note: note.trim() }
          expect(one).toMatchObject({
            ...trimmed,
            packMillilitres,
            packPriceMinor,
            stockMillilitres,
            otherPacks,
          })
        })
      }),
      { numRuns: 200 },
    )
  })

  it('takes the mark of the decimals from the whole table, and asks where it does not say', () => {
    const rows = (pack: string, price: string) =>
      `id;name;family;pack ml;pack price\na;A;degreaser;${pack};${price}`
    const read = readCabinetCsv(rows('1.290', '12,50'))
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    expect(read.value[0]).toMatchObject({ packMillilitres: 1290, packPriceMinor: 1250 })
    const other = readCabinetCsv(rows('1.290', '12.50'))
    if (!other.ok) throw new Error(JSON.stringify(other.problems))
    expect(other.value[0]).toMatchObject({ packMillilitres: 1.29 })
    expect(problems(rows('1.290', '12'))).toEqual([
      'row 2, pack ml: Is this 1290 or 1.29? Write 1290 or 1.29.',
    ])
    expect(problems(rows('1,290', '12'))[0]).toContain('Is this 1290 or 1.29?')
  })

  it.each(['0x10', '1e3', 'Infinity', '12 ml', '--5', '١٢'])('takes %s for no number', (text) =>
    expect(problems(`id,name,family,pack ml\na,A,degreaser,${text}`)[0]).toMatch(/^row 2, pack ml: /),
  )

  it('looks at no more of a bad table than a person fixes', () => {
    const rows = Array.from({ length: 4000 }, (_, at) => `p${at},P,magic`)
    expect(problems(`id,name,family\n${rows.join('\n')}`).length).toBeLessThan(300)
    const many = Array.from({ length: 90_000 }, (_, at) => `p${at},P,magic`)
    expect(problems(`id,name,family\n${many.join('\n')}`)).toEqual([
      ': A cabinet has at most 5,000 products. Choose another file.',
    ])
  })

  it.each([
    ['wrong columns', 'name,colour\nA,red', /row 1: The table needs the columns id, family/],
    ['a column nobody knows', `${head},colour\na,A,degreaser,,,,red`, /row 1: These columns are not known/],
    ['no rows', `${head}\n`, /no products/],
    ['an unknown family', `${head}\na,A,magic,,1000,10`, /row 2, family: Use one of/],
    ['a pack of zero', `${head}\na,A,degreaser,,0,10`, /row 2, pack ml: Enter a number from 1/],
    ['a price of zero', `${head}\na,A,degreaser,,1000,0`, /row 2, pack price: Enter a price above 0/],
    ['an open strength', `${head}\na,A,degreaser,3:2,1000,10`, /row 2, strength: Which side/],
    ['words where a number belongs', `${head}\na,A,degreaser,,many,10`, /row 2, pack ml: Use a number/],
    [
      'the same id twice',
      `${head}\na,A,degreaser,,1,10\na,B,degreaser,,1,10`,
      /row 3, id: Row 2 has the same id/,
    ],
    [
      'dwell the wrong way round',
      'id,name,family,shortest dwell s,longest dwell s\na,A,degreaser,90,30',
      /row 2, longest dwell s: .*Swap/,
    ],
    ['no rating at all', 'id,name,family,rating tar\na,A,tarRemover,0', /row 2, ratings: Rate at least one/],
    ['nothing', '   ', /empty/],
    ['broken JSON', '{"products": [', /neither a CSV table nor JSON/],
    ['JSON of another kind', '{"format":"x"}', /format/],
  ])('%s is refused by row and column', (_, text, fix) => {
    expect(problems(text).join('\n')).toMatch(fix)
  })

  it('takes nothing where one row is wrong, and names every wrong cell', () => {
    const text = `${head}\na,A,degreaser,,1000,10\nb,,degreaser,,0,10\nc,C,nothing,,1000,10`
    expect(problems(text)).toHaveLength(3)
  })

  it('tells which fields it speaks of: columns that are not there and empty cells say nothing', () => {
    const read = readCabinetText(
      'id,name,family,pack ml,stock ml,wear,rating tar\na,A,tarRemover,,500,,3',
      'EUR',
    )
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    expect([...(read.value.products[0]?.said ?? [])].sort()).toEqual(
      ['family', 'id', 'name', 'ratings.tar', 'stockMillilitres', 'wear'].sort(),
    )
  })

  it.each([
    ['JPY', '1500', 1500],
    ['EUR', '15,00', 1500],
    ['KWD', '1.5', 1500],
  ])('reads and writes prices in the minor units of %s', (currency, price, minor) => {
    const read = readCabinetText(`${head}\na,A,degreaser,,1000,"${price}"`, currency)
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    const [one] = read.value.products
    expect(one?.product.packPriceMinor).toBe(minor)
    if (one)
      expect(writeCabinetCsv([productOf(one.product)], currency)).toContain(
        `,1000,${price.replace(',00', '').replace(',', '.')},`,
      )
  })

  it('keeps a name that looks like a formula a name', () => {
    const csv = writeCabinetCsv([{ ...demo[0]!, name: '=HYPERLINK("x")' }], 'EUR')
    expect(csv).toContain(`'=HYPERLINK`)
    const read = readCabinetCsv(csv)
    expect(read.ok && read.value[0]?.name).toBe('=HYPERLINK("x")')
  })
})
