import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { backupFormat, countsOf, fileOfPicture, pictureOf, readManifest } from './backup'
import { photographSizes } from './photograph'

const sum = 'a'.repeat(64)
const id = '0b1f6a52-8c1e-4c58-9f3a-0d7f5f4f2c11'
const manifest = (changes: object = {}) => ({
  format: backupFormat,
  madeAt: '2026-11-20T09:00:00.000Z',
  dataVersion: 17,
  tables: [{ name: 'look', rows: 2, sha256: sum }],
  pictures: [{ file: `photographs/${id}.jpg`, sha256: sum }],
  ...changes,
})

describe('where pictures lie', () => {
  it('tells whose they are, and of which size', () => {
    fc.assert(
      fc.property(fc.uuid(), fc.constantFrom(...photographSizes), (photographId, size) => {
        expect(pictureOf(fileOfPicture({ photographId, size }))).toEqual({ photographId, size })
      }),
    )
  })

  it.each([
    'photographs/../../etc/passwd.jpg',
    `photographs/${id}.png`,
    `photographs/huge/${id}.jpg`,
    `photographs/small/small/${id}.jpg`,
    `/photographs/${id}.jpg`,
    `photographs/${id.replaceAll('-', '_')}.jpg`,
    'photographs/.jpg',
    '',
  ])('%j is none of ours', (name) => expect(pictureOf(name)).toBeNull())
})

describe('a manifest', () => {
  it('counts tables and pictures', () => {
    const read = readManifest(manifest())
    expect(read.ok && [...countsOf(read.value)]).toEqual([
      ['look', 2],
      ['photograph_file', 1],
    ])
  })

  it('of a version without pictures is read', () => {
    const { pictures: _, ...earlier } = manifest()
    const read = readManifest(earlier)
    expect(read.ok && read.value.pictures).toEqual([])
  })

  it.each([
    ['a table twice', { tables: [1, 2].map(() => ({ name: 'look', rows: 2, sha256: sum })) }, 'Name each table'],
    ['a picture twice', { pictures: [1, 2].map(() => ({ file: `photographs/${id}.jpg`, sha256: sum })) }, 'Name each table'],
    ['a picture elsewhere', { pictures: [{ file: 'elsewhere.jpg', sha256: sum }] }, 'Put each picture in photographs/'],
    ['a sum that is none', { pictures: [{ file: `photographs/${id}.jpg`, sha256: 'x' }] }, 'SHA-256'],
    ['a table of another name', { tables: [{ name: 'Look; drop', rows: 2, sha256: sum }] }, 'lower case'],
    ['another format', { format: 'another/1' }, 'Choose a backup of Even Spoke'],
  ])('with %s is refused with the fix', (_, changes, words) => {
    const read = readManifest(manifest(changes))
    expect(!read.ok && inEnglish(read.problems).map(({ fix }) => fix).join(' ')).toContain(words)
  }) // prettier-ignore
})
