import { message } from '@/core/message/message'
import { inEnglish, sayInEnglish } from '@/i18n/testEnglish'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import * as v from 'valibot'
import { describe, expect, it } from 'vitest'
import { makePlan } from '@/core/planning/makePlan'
import { jobFormat, longestJobBytes, readJob, readJobText } from './jobFile'
import { planFile, writePlan } from './planFile'

const wheel = { position: 'frontLeft', tyreCode: '255/35 R19', rimWidthInches: 8.5, spokeCount: 10 }
const least = { format: jobFormat, corners: [wheel] }
const withWheel = (changes: object) => ({ ...least, corners: [{ ...wheel, ...changes }] })

const problemsOf = (input: unknown) => {
  const read = readJob(input)
  return read.ok ? [] : inEnglish(read.problems)
}

describe('a job file', () => {
  it('needs nothing but its wheels; the rest has defaults', () => {
    const read = readJob(least)
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    expect(read.value.job).toMatchObject({
      vehicleKind: 'car',
      conditions: { airCelsius: 18, exposure: 'shade' },
      crew: { people: 1 },
      currency: 'EUR',
      equipment: { smallestMeasureMillilitres: 5, bucketLitres: 10 },
    })
    expect(read.value.job.cabinet.length).toBeGreaterThan(20)
    expect(read.value.job.tools.length).toBeGreaterThan(10)
  })

  const cases: [string, unknown, string, RegExp][] = [
    ['no format', { corners: [wheel] }, 'format', /missing/],
    ['another format', { ...least, format: 'x' }, 'format', /even-spoke\/job\/1/],
    ['not an object', 'junk', '', /object/],
    ['no corners', { format: jobFormat, corners: [] }, 'corners', /at least one wheel/],
    ['corners missing', { format: jobFormat }, 'corners', /missing/],
    ['a tyre code of nonsense', withWheel({ tyreCode: 'big one' }), 'corners[0].tyreCode', /not a tyre code/],
    ['a rim of minus two', withWheel({ rimWidthInches: -2 }), 'corners[0].rimWidthInches', /from 1.5 to 16/],
    ['an absurd rim', withWheel({ rimWidthInches: 4000 }), 'corners[0].rimWidthInches', /from 1.5 to 16/],
    ['half a spoke', withWheel({ spokeCount: 4.5 }), 'corners[0].spokeCount', /whole/],
    ['a number as text', withWheel({ spokeCount: '10' }), 'corners[0].spokeCount', /without quotes/],
    ['an unknown place', withWheel({ position: 'middle' }), 'corners[0].position', /frontLeft/],
    [
      'an unknown finish',
      withWheel({ finishes: [{ zone: 'face', finish: 'sparkly' }] }),
      'corners[0].finishes[0].finish',
      /paintedGloss/,
    ],
    [
      'a grade of nine',
      withWheel({ loads: [{ zone: 'face', soil: 'film', grade: 9 }] }),
      'corners[0].loads[0].grade',
      /0 \(none\) to 4/,
    ],
    [
      'a soil graded twice',
      withWheel({
        loads: [
          { zone: 'face', soil: 'film', grade: 1 },
          { zone: 'face', soil: 'film', grade: 3 },
        ],
      }),
      'corners[0].loads',
      /once/,
    ],
    ['a field nobody knows', { ...least, colour: 'red' }, 'colour', /not known/],
    ['two wheels at one place', { ...least, corners: [wheel, wheel] }, 'corners', /same position/],
    [
      'a product with an open strength',
      { ...least, cabinet: [{ id: 'a', name: 'A', family: 'degreaser', strength: '3:2' }] },
      'cabinet[0].strength',
      /Which side/,
    ],
    [
      'a dwell the wrong way round',
      {
        ...least,
        cabinet: [{ id: 'a', name: 'A', family: 'degreaser', dwellSeconds: { min: 90, max: 30 } }],
      },
      'cabinet[0].dwellSeconds',
      /Swap/,
    ],
    ['an empty cabinet', { ...least, cabinet: [] }, 'cabinet', /empty/],
    ['no people', { ...least, crew: { people: 0 } }, 'crew.people', /from 1 to 2/],
    ['air of 80 °C', { ...least, conditions: { airCelsius: 80 } }, 'conditions.airCelsius', /-20 °C to 50/],
    ['a currency in words', { ...least, currency: 'euros' }, 'currency', /three-letter/],
  ]
  it.each(cases)('%s is refused at its path with the fix', (_, input, path, fix) => {
    const problems = problemsOf(input)
    expect(problems.map((problem) => problem.path)).toContain(path)
    expect(problems.find((problem) => problem.path === path)?.fix).toMatch(fix)
  })

  it('names every problem at once', () => {
    expect(problemsOf(withWheel({ tyreCode: '', rimWidthInches: 0, spokeCount: -1 }))).toHaveLength(3)
  })

  it('keeps any script, quotes and markup in names as they are', () => {
    const name = `<b>"O'Dell"</b> 🛞 گاری ;--`
    const read = readJob({ ...least, vehicle: { name } })
    expect(read.ok && read.value.job.vehicleName).toBe(name)
  })

  it('turns away five megabytes before parsing them, and anything that is no JSON', () => {
    const junk = readJobText('x'.repeat(5_000_000))
    expect(junk.ok).toBe(false)
    expect(!junk.ok && inEnglish(junk.problems)[0]?.fix).toContain(
      sayInEnglish(message('problems.file.bytes', { bytes: longestJobBytes })),
    )
    expect(readJobText('{').ok).toBe(false)
    expect(readJobText('').ok).toBe(false)
    expect(readJobText(`\uFEFF${JSON.stringify(least)}`).ok).toBe(true)
  })

  it('never throws, whatever the value', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        readJob(value)
        readJob({ ...least, corners: value })
        readJob(withWheel({ tyreCode: value, finishes: value, loads: value }))
      }),
      { numRuns: 300 },
    )
  })
})

describe('the examples', () => {
  const folder = join(process.cwd(), 'docs', 'examples')
  it.each(readdirSync(folder).filter((name) => name.endsWith('.job.json')))(
    '%s makes a plan file',
    (name) => {
      const read = readJobText(readFileSync(join(folder, name), 'utf8'))
      if (!read.ok) throw new Error(JSON.stringify(read.problems))
      const plan: unknown = JSON.parse(JSON.stringify(writePlan(makePlan(read.value.job))))
      const parsed = v.safeParse(planFile, plan)
      expect(parsed.issues?.map(({ message }) => message)).toBeUndefined()
    },
  )
})
