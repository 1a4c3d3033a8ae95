import { sayInEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { familyIds, familyOf, type FamilyId } from '@/core/chemistry/families'
import type { Trait } from '@/core/chemistry/family'
import type { Product } from '@/core/chemistry/product'
import { productFromFamily } from '@/core/chemistry/starterCabinet'
import { conditions, finishes } from '@/core/finishes/finish'
import { defaultMethods, methodChoices, type Methods } from '@/core/methods/methods'
import { grades } from '@/core/soils/soil'
import { starterTools } from '@/core/tools/starterTools'
import type { Tool } from '@/core/tools/tool'
import { wheelZones } from '@/core/wheel/zone'
import { ruleBook } from './book'
import { judge, surfaceOf, type UseSite, type Used } from './judge'
import { strictness, type Rule, type Verdict } from './rule'

const site = (changes: Partial<UseSite> = {}): UseSite => ({
  zone: 'face',
  surface: { finish: 'paintedGloss', condition: 'sound' },
  vehicleKind: 'car',
  protectionLive: false,
  methods: defaultMethods,
  ...changes,
})
const on = (finish: (typeof finishes)[number], condition: (typeof conditions)[number] = 'sound') => ({
  surface: { finish, condition },
})
const chem = (family: FamilyId, changes: Partial<Product> = {}): Used => ({
  product: productFromFamily(family, changes),
})
const tool = (changes: Partial<Tool>): Used => ({ tool: { ...(starterTools[4] as Tool), ...changes } })
const methods = (changes: Partial<Methods>) => ({ methods: { ...defaultMethods, ...changes } })

/** One situation a rule, in which that rule has a say. */
const situations: Record<string, readonly [Used, Partial<UseSite>]> = {
  'no-fluoride': [chem('acidCleaner', { containsFluoride: true }), {}],
  'fluoride-by-its-words': [chem('acidCleaner', { name: 'Hydrofluoric wash' }), {}],
  'chlorine-by-its-words': [chem('tyreCleaner', { note: 'Contains sodium hypochlorite.' }), { zone: 'tyre', surface: null }],
  'silica-spray-on-motorcycles': [chem('sprayRinseSilica'), { vehicleKind: 'motorcycle' }],
  'stripping-a-coated-tyre': [chem('tyreCleaner'), { zone: 'tyre', surface: null, protectionLive: true }],
  'nothing-slippery-on-brakes': [chem('spraySealant'), { zone: 'caliper' }],
  'inhibitor-near-brakes': [chem('discInhibitor'), { zone: 'rotor', surface: null }],
  'no-dressing-on-motorcycle-tyres': [chem('tyreDressingWater'), { zone: 'tyre', surface: null, vehicleKind: 'motorcycle' }],
  'chemistry-on-the-disc': [chem('ironRemover'), { zone: 'rotor', surface: null }],
  'one-product-one-sprayer': [chem('degreaser'), { usedSprayer: true }],
  'hot-surface': [chem('carShampoo'), { surfaceCelsius: 60 }],
  'hot-by-reckoning': [chem('carShampoo'), { surfaceCelsius: 60, isReckoned: true }],
  'may-be-hot': [chem('carShampoo'), { surfaceCelsius: 40, isReckoned: true }],
  'hot-rubber': [chem('tyreCleaner'), { zone: 'tyre', surface: null, surfaceCelsius: 44, isReckoned: true }],
  'warm-surface': [chem('degreaser'), { surfaceCelsius: 31 }],
  'residue-in-heat': [chem('heavyGel'), { surfaceCelsius: 26 }],
  'direct-sun-never': [chem('degreaser'), { exposure: 'fullSun', ...methods({ directSun: 'never' }) }],
  'direct-sun-by-section': [chem('degreaser'), { exposure: 'fullSun' }],
  'strong-acid-on-bare': [chem('acidCleaner'), on('polishedBare')],
  'strong-acid-on-open-lacquer': [chem('acidCleaner'), on('paintedGloss', 'peeling')],
  'strong-acid-on-soft-skin': [chem('acidCleaner'), on('filmWrapped')],
  'acid-on-lacquer': [chem('acidCleaner'), {}],
  'acid-on-sound-lacquer': [chem('acidCleaner'), methods({ acidOnLacquer: true })],
  'acid-too-strong': [chem('acidCleaner'), { fraction: 0.5 }],
  'acid-too-long': [chem('acidCleaner'), { dwellSeconds: 300 }],
  'acid-on-diamond-cut': [chem('acidShampoo'), on('diamondCut')],
  'acid-on-magnesium': [chem('acidShampoo'), on('magnesium')],
  'mild-acid-on-bare': [chem('acidShampoo'), on('chrome')],
  'mild-acid-on-open-lacquer': [chem('acidShampoo'), on('paintedGloss', 'chipped')],
  'strong-alkali-on-bare': [chem('alkalineFoam'), on('anodised')],
  'strong-alkali-on-open-lacquer': [chem('alkalineFoam'), on('glossBlack', 'chipped')],
  'strong-alkali-on-soft-skin': [chem('degreaser'), on('plasticTrim')],
  'strong-alkali-on-diamond-cut': [chem('degreaser'), on('diamondCut')],
  'alkali-too-strong': [chem('degreaser'), { fraction: 0.5 }],
  'strong-alkali-on-lacquer': [chem('degreaser'), { fraction: 0.2 }],
  'alkali-on-anodised': [chem('allPurpose'), on('anodised')],
  'cleaning-strength-on-bare': [chem('allPurpose'), { ...on('polishedBare'), fraction: 0.2 }],
  'strong-cleaner-on-forged': [chem('heavyGel'), on('brushedBare')],
  'iron-on-diamond-cut': [chem('ironRemover'), on('diamondCut')],
  'iron-on-bare': [chem('ironRemover'), on('polishedBare')],
  'iron-under-peeling-lacquer': [chem('ironRemover'), on('paintedGloss', 'peeling')],
  'iron-on-film': [chem('ironRemover'), { filmAmount: 4, ...methods({ ironOn: 'dirty' }) }],
  'iron-after-the-wash': [chem('ironRemover'), { filmAmount: 4 }],
  'stripping-on-soft-skin': [chem('heavyGel'), on('filmWrapped')],
  'stripping-on-open-lacquer': [chem('heavyGel'), on('paintedGloss', 'chipped')],
  'gel-on-diamond-cut': [chem('heavyGel'), on('diamondCut')],
  'solvent-on-soft-skin': [chem('tarRemover'), on('carbonFibre')],
  'solvent-on-wet': [chem('tarRemover'), { wheelWet: true }],
  'solvent-on-peeling-lacquer': [chem('tarRemover'), on('paintedGloss', 'peeling')],
  'gloss-on-matte': [chem('sprayWax'), on('matte')],
  'coating-not-for-matte': [chem('spraySealant'), on('matte')],
  'no-rubbing-matte': [tool({ kind: 'clay' }), on('matte')],
  'no-abrasive-on-matte': [chem('ironClayLubricant'), on('matte')],
  'matte-without-pressure': [chem('carShampoo'), on('matte')],
  'dressing-beside-matte': [chem('tyreDressingWater'), { zone: 'tyre', surface: null, beside: ['matte'] }],
  'stripping-live-protection': [chem('heavyGel'), { protectionLive: true }],
  'nothing-on-a-curing-coating': [chem('carShampoo'), { protectionCuring: true }],
  'wipe-on-wet': [chem('spraySealant'), { wheelWet: true }],
  'protection-over-residue': [chem('sprayRinseSilica'), { overResidue: true }],
  'dressing-over-brown': [chem('tyreDressingWater'), { zone: 'tyre', surface: null, overResidue: true }],
  'acid-on-unrinsed-alkali': [chem('acidShampoo'), { unrinsed: 'alkali' }],
  'alkali-on-unrinsed-acid': [chem('allPurpose'), { unrinsed: 'acid' }],
  'waterless-on-grit': [chem('waterlessSpray'), { grit: 1 }],
  'waterless-on-heavy-dirt': [chem('waterlessSpray'), { dirt: 2 }],
  'touch-on-grit': [tool({ kind: 'mitt' }), { grit: 2 }],
  'stiff-on-the-wheel': [tool({ stiffness: 'stiff' }), {}],
  'medium-on-soft-finish': [tool({ stiffness: 'medium' }), on('glossBlack')],
  'stiff-on-fabric-liner': [tool({ stiffness: 'stiff', kind: 'archBrush' }), { zone: 'arch', surface: null, liner: 'fabric' }],
  'strong-on-fabric-liner': [chem('degreaser'), { zone: 'arch', surface: null, liner: 'fabric' }],
  'abrasive-on-open-lacquer': [chem('ironClayLubricant'), on('paintedGloss', 'chipped')],
  'abrasive-on-soft-skin': [chem('ironClayLubricant'), on('filmWrapped')],
  'clay-on-soft-skin': [tool({ kind: 'clay' }), on('filmWrapped')],
  'clay-lubricant-on-bare': [chem('ironClayLubricant'), on('polishedBare')],
  'abrasive-on-thin-layer': [chem('metalPolish'), on('anodised')],
  'clay-on-anodised': [chem('ironClayLubricant'), on('anodised')],
  'polish-on-lacquer': [chem('metalPolish'), on('glossBlack')],
  'polish-along-the-grain': [chem('metalPolish'), on('brushedBare')],
  'clay-on-open-lacquer': [tool({ kind: 'clay' }), on('paintedGloss', 'chipped')],
  'tool-out-of-use': [tool({ state: 'dropped' }), {}],
  'tyre-and-arch-tools-off-the-wheel': [tool({ dedicatedTo: 'tyre' }), {}],
  'paint-tools-off-the-wheel': [tool({ dedicatedTo: 'paint' }), {}],
  'jet-at-film-edges': [{}, { ...on('filmWrapped'), pressureBar: 100 }],
  'jet-at-open-lacquer': [{}, { ...on('paintedGloss', 'chipped'), pressureBar: 100 }],
  frost: [chem('carShampoo'), { airCelsius: -9 }],
  'near-freezing': [chem('carShampoo'), { airCelsius: 0 }],
  'coating-in-the-cold': [chem('ceramicCoating'), { airCelsius: 6 }],
  'coating-in-heat': [chem('ceramicCoating'), { airCelsius: 34 }],
  'coating-in-damp': [chem('ceramicCoating'), { humidityShare: 0.9 }],
  'sealant-in-the-cold': [chem('spraySealant'), { airCelsius: 2 }],
  'sealant-in-damp': [chem('spraySealant'), { humidityShare: 0.97 }],
  'dressing-in-the-cold': [chem('tyreDressingWater'), { zone: 'tyre', surface: null, airCelsius: 0 }],
  'dressing-in-damp': [chem('tyreDressingWater'), { zone: 'tyre', surface: null, humidityShare: 0.98 }],
  'dry-work-in-rain': [chem('spraySealant'), { raining: true }],
  'solvent-in-rain': [chem('tarRemover'), { raining: true }],
  'pressure-too-high': [chem('carShampoo'), { pressureBar: 180 }],
} // prettier-ignore

const idsOf = (used: Used, at: UseSite, book?: readonly Rule[]) =>
  judge(used, at, book).rules.map(({ id }) => id)

describe('the rule book', () => {
  it('has one situation here for every rule, and every id once', () => {
    const ids = ruleBook.map(({ id }) => id)
    expect(Object.keys(situations).sort()).toEqual([...ids].sort())
    expect(new Set(ids).size).toBe(ids.length)
  })

  it.each(Object.entries(situations))('%s holds, and goes with its row', (id, [used, changes]) => {
    expect(idsOf(used, site(changes))).toContain(id)
    const without = ruleBook.filter((rule) => rule.id !== id)
    expect(idsOf(used, site(changes), without)).not.toContain(id)
  })

  it.each(Object.entries(situations))('%s keeps quiet where nothing is special', (id, [used]) => {
    const plain = used.product
      ? { product: { ...used.product, name: 'Plain', note: '', containsFluoride: false } }
      : { tool: starterTools[4] as Tool }
    // The default setting on acid and brakes on the face are the only things left to speak.
    const calm = idsOf(plain, site({ zone: 'face', methods: { ...defaultMethods, acidOnLacquer: true } }))
    // Metal polish has no place on lacquer at all.
    const always = ['acid-on-sound-lacquer', 'inhibitor-near-brakes', 'polish-on-lacquer']
    expect(calm.filter((one) => one === id && !always.includes(id))).toEqual([])
  })

  it('gives every rule a reason, and a way to do it where it asks for care', () => {
    for (const { id, reason, verdict, care } of ruleBook) {
      expect([id, sayInEnglish(reason).length > 20]).toEqual([id, true])
      expect([id, verdict === 'withCare' ? Boolean(care) : true]).toEqual([id, true])
    }
  })

  it('lets no setting switch a safety rule off', () => {
    for (const rule of ruleBook.filter(({ safety }) => safety))
      expect([rule.id, rule.method]).toEqual([rule.id, undefined])
  })

  it('speaks of shop settings that exist', () => {
    for (const { method } of ruleBook) {
      if (!method) continue
      expect(methodChoices[method.name]).toContain(method.value)
    }
  })

  it('lets the strictest rule win', () => {
    const worst = judge(
      chem('acidCleaner'),
      site({ ...methods({ acidOnLacquer: true }), surfaceCelsius: 70 }),
    )
    expect(worst.verdict).toBe('no')
    expect(worst.rules[0]?.id).toBe('hot-surface')
  })

  it('takes an unknown finish for bare metal', () => {
    const unknown = { surface: surfaceOf('face', {}) }
    expect(judge(chem('acidCleaner'), site(unknown)).verdict).toBe('no')
    expect(judge(chem('carShampoo'), site(unknown)).verdict).toBe('fine')
  })
})

describe('verdicts are monotone', () => {
  const anySite = fc.record({
    zone: fc.constantFrom(...wheelZones),
    finish: fc.constantFrom(...finishes),
    condition: fc.constantFrom(...conditions),
    protectionLive: fc.boolean(),
    acidOnLacquer: fc.boolean(),
    fraction: fc.double({ min: 0.001, max: 1, noNaN: true }),
    dwellSeconds: fc.integer({ min: 0, max: 900 }),
    surfaceCelsius: fc.double({ min: -10, max: 90, noNaN: true }),
    grit: fc.constantFrom(...grades),
    dirt: fc.constantFrom(...grades),
    family: fc.constantFrom(...familyIds),
  })
  type Sample = typeof anySite extends fc.Arbitrary<infer T> ? T : never
  const verdict = ({ family, finish, condition, acidOnLacquer, ...rest }: Sample) =>
    strictness(
      judge(chem(family), site({ ...rest, ...on(finish, condition), ...methods({ acidOnLacquer }) })).verdict,
    )
  const never = (worse: (sample: Sample) => Sample) =>
    fc.assert(
      fc.property(anySite, (sample) => {
        expect(verdict(worse(sample))).toBeGreaterThanOrEqual(verdict(sample))
      }),
      { numRuns: 1500 },
    )

  it('stronger is never safer', () => never((one) => ({ ...one, fraction: Math.min(1, one.fraction * 1.7) })))
  it('hotter is never safer', () => never((one) => ({ ...one, surfaceCelsius: one.surfaceCelsius + 8 })))
  it('longer is never safer', () => never((one) => ({ ...one, dwellSeconds: one.dwellSeconds + 90 })))
  it('more grit or dirt is never safer', () => never((one) => ({ ...one, grit: 4, dirt: 4 })))
  it('damage is never safer than sound', () =>
    fc.assert(
      fc.property(anySite, (sample) => {
        expect(verdict(sample)).toBeGreaterThanOrEqual(verdict({ ...sample, condition: 'sound' }))
      }),
      { numRuns: 1500 },
    ))
  // Metal polish is for bare metal only.
  it('no finish is safer than sound gloss paint, for any cleaner', () =>
    fc.assert(
      fc.property(
        anySite.filter(({ family }) => family !== 'metalPolish'),
        (sample) => {
          expect(verdict(sample)).toBeGreaterThanOrEqual(
            verdict({ ...sample, finish: 'paintedGloss', condition: 'sound' }),
          )
        },
      ),
      { numRuns: 2500 },
    ))
  it('what nobody knows is never safer than bare metal', () =>
    fc.assert(
      fc.property(anySite, (sample) => {
        expect(verdict({ ...sample, finish: 'unknown' })).toBe(verdict({ ...sample, finish: 'polishedBare' }))
      }),
    ))
})

/** What the trade holds of whatever carries a trait: every family that has it, at the mildest the label allows. */
describe('every family that carries a trait is caught by the rules of that trait', () => {
  const carrying = (trait: Trait) => familyIds.filter((id) => familyOf(id).traits.includes(trait))
  const verdictOn = (family: FamilyId, surface: Partial<UseSite>) =>
    judge(
      chem(family),
      site({
        ...surface,
        dwellSeconds: familyOf(family).dwellSeconds.min,
        fraction: familyOf(family).strength.from,
      }),
    ).verdict
  const bare = ['polishedBare', 'brushedBare', 'anodised', 'chrome', 'magnesium', 'unknown'] as const
  const skins = ['filmWrapped', 'carbonFibre', 'plasticTrim'] as const
  const open = ['chipped', 'peeling', 'corroded', 'curbRashed', 'unknown'] as const

  const onSurfaces = (verdicts: readonly Verdict[], trait: Trait, surfaces: readonly Partial<UseSite>[]) => {
    const families = carrying(trait).filter((id) => familyOf(id).surfaces.includes('wheel'))
    expect(families.length).toBeGreaterThan(0)
    for (const family of families)
      for (const surface of surfaces)
        expect([family, surface.surface, verdictOn(family, surface)]).toEqual([
          family,
          surface.surface,
          expect.toSatisfy((verdict: Verdict) => verdicts.includes(verdict)),
        ])
  }
  const all = (list: readonly (typeof finishes)[number][]) => list.map((finish) => on(finish))

  it('strong acid: never on bare metal, soft skins, open lacquer or a machined face', () =>
    onSurfaces(['no'], 'strongAcid', [
      ...all([...bare, ...skins, 'diamondCut']),
      ...open.map((condition) => on('paintedGloss', condition)),
    ]))
  it('strong alkali: never there either', () =>
    onSurfaces(['no'], 'strongAlkali', [
      ...all([...bare, ...skins, 'diamondCut']),
      ...open.map((condition) => on('paintedGloss', condition)),
    ]))
  it('mild acid: care on bare metal and open lacquer, never on a machined face', () => {
    onSurfaces(['withCare', 'no'], 'mildAcid', [...all([...bare]), on('paintedGloss', 'chipped')])
    onSurfaces(['no'], 'mildAcid', all(['diamondCut', 'magnesium']))
  })
  it('iron-reactive: care at least on a machined face, on bare metal and under peeling lacquer', () =>
    onSurfaces(['withCare', 'no'], 'ironReactive', [
      ...all([...bare, 'diamondCut']),
      on('paintedGloss', 'peeling'),
    ]))
  it('solvent: never on film, plastic or resin, care under peeling lacquer', () => {
    onSurfaces(['no'], 'solvent', all(skins))
    onSurfaces(['withCare', 'no'], 'solvent', [on('paintedGloss', 'peeling')])
  })
  it('gloss: never on matte', () => onSurfaces(['no'], 'gloss', all(['matte'])))
  it('abrasive: never on matte, film, anodising or open lacquer', () =>
    onSurfaces(['no'], 'abrasive', [
      ...all(['matte', 'anodised', 'magnesium', ...skins]),
      ...open.map((condition) => on('paintedGloss', condition)),
    ]))

  it('what strips protection is refused on soft skins and asks for care over live protection', () => {
    for (const family of familyIds) {
      const facts = familyOf(family)
      if (facts.purpose !== 'clean' || facts.wear !== 'strips' || !facts.surfaces.includes('wheel')) continue
      for (const finish of skins)
        expect([family, finish, verdictOn(family, on(finish))]).toEqual([family, finish, 'no'])
      expect(verdictOn(family, { protectionLive: true })).not.toBe('fine')
    }
  })
  it('whatever cleans is worked without pressure on matte, and nothing that protects comes near brakes', () => {
    for (const family of familyIds) {
      const facts = familyOf(family)
      if (facts.purpose === 'clean') expect([family, verdictOn(family, on('matte'))]).not.toContain('fine')
      else
        for (const zone of ['rotor', 'caliper'] as const)
          expect([family, verdictOn(family, { zone })]).toEqual([family, 'no'])
    }
  })
  it('whatever is wiped on or dressed is refused in the rain, and a product’s own wear counts like its family’s', () => {
    for (const family of familyIds) {
      const facts = familyOf(family)
      if (facts.purpose !== 'protect' || facts.onWet) continue
      const zone = facts.surfaces[0] === 'wheel' ? 'face' : (facts.surfaces[0] ?? 'face')
      const at = zone === 'face' ? {} : { zone, surface: null }
      expect([family, verdictOn(family, { ...at, raining: true })]).toEqual([family, 'no'])
    }
    const own = judge(chem('carShampoo', { wear: 'strips' }), site(on('filmWrapped')))
    expect(own.verdict).toBe('no')
  })
  it.each(['Hydrofluoric foam', 'HF bright', 'Flusssäurefrei', 'Flußsäure-Gel', 'Ammonium bifluoride'])(
    'a name such as %s asks before it is planned with',
    (name) => {
      expect(judge(chem('acidCleaner', { name }), site()).rules[0]?.safety).toBe(true)
      expect(judge(chem('acidCleaner', { name: 'Plain', note: name }), site()).verdict).toBe('no')
      const checked = judge(chem('carShampoo', { name, fluorideChecked: true }), site())
      expect(checked.verdict).toBe('fine')
    },
  )
})
