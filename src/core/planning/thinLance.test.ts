import { inEnglish } from '@/i18n/testEnglish'
import { expect, it } from 'vitest'
import { productFromFamily, starterCabinet } from '@/core/chemistry/starterCabinet'
import { fourCorners, testJob } from '@/core/job/testJob'
import { makePlan } from './makePlan'

const keepsFoam = ['alkalineFoam', 'allPurpose', 'tyreCleaner', 'sprayRinseSilica']
const foamed = (drawLitresPerMinute: number, family = 'alkalineFoam') =>
  inEnglish(
    makePlan(
      testJob(fourCorners({ loads: { face: { film: 4 }, barrel: { film: 4 } } }), {
        cabinet: [
          ...starterCabinet.filter(
            (product) => keepsFoam.includes(product.family) && product.family !== family,
          ),
          productFromFamily('alkalineFoam'),
        ],
        wishes: { prefer: 'gentlest', pinned: ['alkalineFoam'], forbidden: [] },
        equipment: {
          smallestMeasureMillilitres: 5,
          bucketLitres: 10,
          pressureBar: 110,
          lance: { washerLitresPerMinute: 8, drawLitresPerMinute },
        },
      }),
    ),
  )
const said = (draw: number): string =>
  foamed(draw)
    .shortfalls.map(({ text }) => text)
    .join('\n')

it('a lance that draws far too little is named, with how thin the foam comes out', () => {
  expect(foamed(0.1).stages.some(({ delivery }) => delivery === 'lance')).toBe(true)
  expect(said(0.1)).toContain('far too thin at the wheel: one part in 81')
})

it('a usual lance is not spoken of', () => expect(said(1.1)).not.toContain('lance'))
