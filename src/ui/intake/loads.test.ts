import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { soils, type Grade } from '@/core/soils/soil'
import { positions } from '@/core/wheel/position'
import { zones } from '@/core/wheel/zone'
import { copyLoads, entriesOfLoads, heaviest, loadsOfEntries, soilsOfZone, withGrade } from './loads'

const anyEntries = fc.uniqueArray(
  fc.record({
    zone: fc.constantFrom(...zones),
    soil: fc.constantFrom(...soils),
    grade: fc.integer({ min: 1, max: 4 }).map((grade) => grade as Grade),
  }),
  { selector: ({ zone, soil }) => `${zone} ${soil}`, maxLength: 20 },
)

describe('grades', () => {
  it('are the same after they were put into zones and read out again', () => {
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const key = ({ zone, soil }: (typeof entries)[number]) => `${zone} ${soil}`
        const back = entriesOfLoads(loadsOfEntries(entries))
        expect(back.sort((a, b) => key(a).localeCompare(key(b)))).toEqual(
          [...entries].sort((a, b) => key(a).localeCompare(key(b))),
        )
      }),
    )
  })

  it('of nought are no dirt', () => {
    expect(entriesOfLoads({ face: { film: 0, freshDust: 2 } })).toEqual([
      { zone: 'face', soil: 'freshDust', grade: 2 },
    ])
  })

  it('change for one soil of one zone alone', () => {
    const before = { face: { film: 1, freshDust: 2 }, barrel: { film: 3 } } as const
    expect(withGrade(before, 'face', 'film', 4)).toEqual({
      face: { film: 4, freshDust: 2 },
      barrel: { film: 3 },
    })
    expect(before.face.film).toBe(1)
  })
})

describe('copying a wheel', () => {
  const four = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const
  const dirty = { face: { film: 3 } } as const

  it('goes to its axle or to all wheels there are', () => {
    expect(copyLoads({ frontLeft: dirty }, 'frontLeft', 'axle', four)).toEqual({
      frontLeft: dirty,
      frontRight: dirty,
    })
    const all = copyLoads({ frontLeft: dirty, rearLeft: { face: { film: 1 } } }, 'frontLeft', 'all', four)
    for (const position of four) expect(all[position]).toBe(dirty)
    expect(Object.keys(all)).toHaveLength(4)
  })

  it('of a clean wheel cleans the others', () => {
    expect(copyLoads({ rearLeft: dirty }, 'rearRight', 'axle', four)).toEqual({ rearLeft: {}, rearRight: {} })
  })

  it('reaches both wheels of a dual rear', () => {
    const copied = copyLoads({ rearLeft: dirty }, 'rearLeft', 'axle', positions)
    expect(copied.rearLeftInner).toBe(dirty)
    expect(copied.frontLeft).toBeUndefined()
  })
})

describe('the heaviest dirt', () => {
  it('is the worst grade of each soil wherever it is, the worst first', () => {
    const loads = { face: { film: 1, tar: 3 }, barrel: { film: 2, freshDust: 4 } } as const
    expect(heaviest(loads)).toEqual([
      { soil: 'freshDust', grade: 4 },
      { soil: 'tar', grade: 3 },
    ])
    expect(heaviest(loads, 3).at(-1)).toEqual({ soil: 'film', grade: 2 })
    expect(heaviest({})).toEqual([])
  })
})

it('rubber and liners are not offered brake dust, and a wheel no browning', () => {
  expect(soilsOfZone('tyre')).not.toContain('freshDust')
  expect(soilsOfZone('arch')).not.toContain('bondedDust')
  expect(soilsOfZone('face')).not.toContain('tyreBrowning')
  for (const zone of zones) expect(soilsOfZone(zone).length).toBeGreaterThan(1)
})
