import { describe, expect, it } from 'vitest'
import type { FamilyId } from '@/core/chemistry/families'
import { productFromFamily } from '@/core/chemistry/starterCabinet'
import { defaultSchools } from '@/core/job/schools'
import { judge, surfaceOf, type UseSite } from './judge'
import { ruleBook } from './ruleBook'

const site = (changes: Partial<UseSite> = {}): UseSite => ({
  zone: 'face',
  surface: { finish: 'paintedGloss', condition: 'sound' },
  vehicleKind: 'car',
  protectionLive: false,
  schools: defaultSchools,
  ...changes,
})
const bare = { finish: 'polishedBare', condition: 'sound' } as const
const acidAllowed = { ...defaultSchools, acidOnLacquer: true }

/** One situation a rule, in which that rule has a say. */
const situations: Record<string, readonly [FamilyId, Partial<UseSite>]> = {
  'hot-surface': ['carShampoo', { surfaceCelsius: 60 }],
  'strong-acid-on-bare': ['acidCleaner', { surface: bare }],
  'strong-acid-on-open-lacquer': ['acidCleaner', { surface: { finish: 'paintedGloss', condition: 'peeling' } }],
  'acid-on-lacquer': ['acidCleaner', {}],
  'acid-on-sound-lacquer': ['acidCleaner', { schools: acidAllowed }],
  'strong-alkali-on-bare': ['alkalineFoam', { surface: bare }],
  'strong-alkali-on-open-lacquer': ['alkalineFoam', { surface: { finish: 'glossBlack', condition: 'chipped' } }],
  'acid-on-diamond-cut': ['acidShampoo', { surface: { finish: 'diamondCut', condition: 'sound' } }],
  'iron-on-diamond-cut': ['ironRemover', { surface: { finish: 'diamondCut', condition: 'sound' } }],
  'iron-on-bare': ['ironRemover', { surface: bare }],
  'acid-on-magnesium': ['acidShampoo', { surface: { finish: 'magnesium', condition: 'sound' } }],
  'solvent-on-film': ['tarRemover', { surface: { finish: 'filmWrapped', condition: 'sound' } }],
  'strong-chemistry-on-film': ['alkalineFoam', { surface: { finish: 'carbonFibre', condition: 'sound' } }],
  'gloss-on-matte': ['sprayWax', { surface: { finish: 'matte', condition: 'sound' } }],
  'stripping-live-protection': ['heavyGel', { protectionLive: true }],
  'nothing-slippery-on-brakes': ['spraySealant', { zone: 'caliper' }],
  'no-dressing-on-motorcycle-tyres': [
    'tyreDressingWater',
    { zone: 'tyre', surface: null, vehicleKind: 'motorcycle' },
  ],
} // prettier-ignore

describe('the rule book', () => {
  it('has one situation here for every rule', () => {
    expect(Object.keys(situations).sort()).toEqual(ruleBook.map(({ id }) => id).sort())
  })

  it.each(Object.entries(situations))('%s holds, and goes with its row', (id, [family, changes]) => {
    const product = productFromFamily(family)
    expect(judge(product, site(changes)).rules.map((rule) => rule.id)).toContain(id)
    const without = ruleBook.filter((rule) => rule.id !== id)
    expect(judge(product, site(changes), without).rules.map((rule) => rule.id)).not.toContain(id)
  })

  it('gives every rule a reason, and a way to do it where it asks for care', () => {
    for (const { id, reason, verdict, care } of ruleBook) {
      expect([id, reason.length > 20]).toEqual([id, true])
      expect([id, verdict === 'withCare' ? Boolean(care) : true]).toEqual([id, true])
    }
  })

  it('lets the strictest rule win', () => {
    const product = productFromFamily('acidCleaner')
    const worst = judge(product, site({ schools: acidAllowed, surfaceCelsius: 70 }))
    expect(worst.verdict).toBe('no')
    expect(worst.rules[0]?.id).toBe('hot-surface')
  })

  it('takes an unknown finish for bare metal', () => {
    const unknown = surfaceOf('face', {})
    expect(judge(productFromFamily('acidCleaner'), site({ surface: unknown })).verdict).toBe('no')
    expect(judge(productFromFamily('carShampoo'), site({ surface: unknown })).verdict).toBe('fine')
  })
})
