import { inEnglish } from '@/i18n/testEnglish'
import { describe, expect, it } from 'vitest'
import { readJobText } from './jobFile'
import { parse } from './problems'
import { wheelSetInput } from './wheelSet'
import { showFound } from '@/core/result'

const jobWith = (rest: string): string => `{"format":"even-spoke/job/1",${rest}}`
const many = (text: string, bytes = 900_000): string =>
  Array.from({ length: Math.floor(bytes / (text.length + 1)) }, () => text).join(',')
const corner = (loads: string): string =>
  `"corners":[{"position":"frontLeft","tyreCode":"205/55 R16","rimWidthInches":6.5,"spokeCount":5,"loads":[${loads}]}]`

describe('junk of nearly a megabyte is turned away in a moment', () => {
  it.each([
    ['thousands of corners', jobWith(`"corners":[${many('{}')}]`), 'corners'],
    ['corners that are numbers', jobWith(`"corners":[${many('1')}]`), 'corners'],
    ['thousands of loads', jobWith(corner(many('{}'))), 'corners[0].loads'],
    ['thousands of products', jobWith(`"corners":[{}],"cabinet":[${many('{}')}]`), 'cabinet'],
    ['a corner that is a long list', jobWith(`"corners":[[${many('0')}]]`), 'corners[0].position'],
    ['lists in lists without end', jobWith(`"corners":${'['.repeat(400_000)}${']'.repeat(400_000)}`), ''],
    [
      'thousands of unknown fields',
      jobWith(Array.from({ length: 60_000 }, (_, at) => `"f${at}":1`).join(',')),
      'f0',
    ],
    ['one endless text', jobWith(`"corners":[{"position":"${'x'.repeat(900_000)}"}]`), 'corners[0].position'],
    ['thousands of wishes', jobWith(`"corners":[{}],"wishes":{"pinned":[${many('"x"')}]}`), 'wishes.pinned'],
  ])('%s', (_, text, path) => {
    const before = process.cpuUsage()
    const read = readJobText(text)
    const { user, system } = process.cpuUsage(before)
    if (read.ok) throw new Error('taken')
    expect(read.problems.map((problem) => problem.path)).toContain(path)
    expect(read.problems.length).toBeLessThanOrEqual(21)
    for (const problem of inEnglish(read.problems)) expect(problem.found.length).toBeLessThan(100)
    // Not a measurement: before, one such request took six seconds. What else runs beside it does not count.
    expect((user + system) / 1000).toBeLessThan(2000)
  })
})

describe('problems', () => {
  it('are counted where they are too many to read', () => {
    const wheels = Array.from({ length: 12 }, () => ({
      position: 'nowhere',
      tyreCode: 1,
      rimWidthInches: 'x',
    }))
    const read = parse(wheelSetInput, { vehicle: { name: 'A', kind: 'car' }, name: 'B', wheels })
    if (read.ok) throw new Error('taken')
    expect(read.problems).toHaveLength(21)
    expect(inEnglish(read.problems).at(-1)?.fix).toMatch(/^Fix these first\. \d+ more follow/)
  })

  it('show what was found, shortened', () => {
    expect(showFound([1, 2])).toBe('[1,2]')
    expect(showFound(Array.from({ length: 30 }))).toBe('a list of 30')
    expect(showFound(undefined)).toBe('undefined')
    expect(showFound({ a: { b: { c: { d: { e: 1 } } } } })).toBe('{"a":{"b":{"c":{"d":"{…}"}}}}')
    expect(showFound('🛞'.repeat(100))).toHaveLength(2 * 59 + 1 + 1)
  })
})
