import { characters, type Character } from './character'
import type { CleaningFamily, Family, ProtectingFamily } from './family'

const seconds = (min: number, max: number) => ({ min, max })
const neat = { from: 1, to: 1 }
const ratio = (weakParts: number, strongParts = weakParts) => ({
  from: 1 / (1 + weakParts),
  to: 1 / (1 + strongParts),
})

/**
 * Cleaning families, mildest first. Strengths and dwells follow usual labels; ratings are house estimates on the
 * 0-4 scale and are corrected by the shop's own records.
 */
const cleaning = {
  rinselessPresoak: {
    name: 'rinseless wash pre-soak', ratings: { grit: 2, film: 1, freshDust: 1 }, wear: 'none', strength: ratio(250, 100),
    dwellSeconds: seconds(60, 300), delivery: 'pumpFoamer', surfaces: ['wheel'], traits: [], hazards: [],
    needsDry: false, purposeText: 'lifts loose dirt before the first rinse',
  },
  waterlessSpray: {
    name: 'waterless spray', ratings: { freshDust: 1, film: 1 }, wear: 'none', strength: neat,
    dwellSeconds: seconds(10, 60), delivery: 'trigger', surfaces: ['wheel'], traits: ['gloss'], hazards: [],
    needsDry: true, purposeText: 'light dust only, away from water',
  },
  carShampoo: {
    name: 'neutral car shampoo', ratings: { film: 1, freshDust: 1, organic: 1 }, wear: 'none', strength: ratio(1000, 400),
    dwellSeconds: seconds(0, 600), delivery: 'bucket', surfaces: ['wheel'], traits: [], hazards: [],
    needsDry: false, purposeText: 'well kept, coated wheels',
  },
  wheelShampoo: {
    name: 'wheel shampoo', ratings: { film: 2, freshDust: 2, organic: 1 }, wear: 'hardly', strength: ratio(1000, 500),
    dwellSeconds: seconds(0, 600), delivery: 'bucket', surfaces: ['wheel'], traits: [], hazards: [],
    needsDry: false, purposeText: 'maintenance clean with lasting suds',
  },
  maintenanceCleaner: {
    name: 'maintenance wheel cleaner', ratings: { film: 2, freshDust: 2, organic: 1 }, wear: 'hardly', strength: ratio(1, 0),
    dwellSeconds: seconds(60, 240), delivery: 'trigger', surfaces: ['wheel'], traits: [], hazards: ['irritant'],
    needsDry: false, purposeText: 'light dust on coated wheels',
  },
  allPurpose: {
    name: 'all-purpose cleaner', ratings: { film: 3, freshDust: 2, organic: 3, tyreBrowning: 2 }, wear: 'some', strength: ratio(10, 4),
    dwellSeconds: seconds(45, 300), delivery: 'trigger', surfaces: ['wheel', 'tyre', 'arch'], traits: ['mildAlkali'], hazards: ['irritant'],
    needsDry: false, purposeText: 'film, arches, lightly soiled tyres',
  },
  degreaser: {
    name: 'degreaser', ratings: { film: 4, freshDust: 2, organic: 3, tyreBrowning: 3 }, wear: 'strips', strength: ratio(10, 4),
    dwellSeconds: seconds(45, 240), delivery: 'pumpFoamer', surfaces: ['wheel', 'tyre', 'arch'], traits: ['strongAlkali'], hazards: ['irritant'],
    needsDry: false, purposeText: 'heavy film, arches, tyres',
  },
  wheelAndTyre: {
    name: 'wheel and tyre cleaner', ratings: { film: 3, freshDust: 3, organic: 2, tyreBrowning: 2 }, wear: 'some', strength: neat,
    dwellSeconds: seconds(60, 240), delivery: 'trigger', surfaces: ['wheel', 'tyre'], traits: ['mildAlkali'], hazards: ['irritant'],
    needsDry: false, purposeText: 'both surfaces quickly',
  },
  tyreCleaner: {
    name: 'tyre and rubber cleaner', ratings: { tyreBrowning: 4, film: 3 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(30, 180), delivery: 'trigger', surfaces: ['tyre'], traits: ['strongAlkali'], hazards: ['irritant'],
    needsDry: false, purposeText: 'browning and sludge, several rounds',
  },
  ironWheelCleaner: {
    name: 'iron-reactive wheel cleaner', ratings: { film: 2, freshDust: 3, bondedDust: 2, organic: 1 }, wear: 'some', strength: neat,
    dwellSeconds: seconds(120, 300), delivery: 'trigger', surfaces: ['wheel'], traits: ['ironReactive'], hazards: ['irritant', 'fumes'],
    needsDry: false, purposeText: 'dust and film in one step',
  },
  ironRemover: {
    name: 'iron remover', ratings: { freshDust: 2, bondedDust: 4 }, wear: 'some', strength: neat,
    dwellSeconds: seconds(120, 300), delivery: 'trigger', surfaces: ['wheel'], traits: ['ironReactive'], hazards: ['irritant', 'fumes'],
    needsDry: false, purposeText: 'bonded iron after cleaning',
  },
  ironTarRemover: {
    name: 'iron and tar remover', ratings: { bondedDust: 3, tar: 3 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(120, 240), delivery: 'trigger', surfaces: ['wheel'], traits: ['ironReactive', 'solvent'], hazards: ['irritant', 'fumes', 'flammable'],
    needsDry: true, purposeText: 'both, a little weaker at each',
  },
  ironClayLubricant: {
    name: 'iron remover with clay lubricant', ratings: { bondedDust: 4 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(60, 240), delivery: 'trigger', surfaces: ['wheel'], traits: ['ironReactive', 'abrasive'], hazards: ['irritant', 'fumes'],
    needsDry: false, purposeText: 'dissolving and claying at once, one wheel at a time',
  },
  tarRemover: {
    name: 'tar remover', ratings: { tar: 4 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(60, 180), delivery: 'trigger', surfaces: ['wheel'], traits: ['solvent'], hazards: ['irritant', 'fumes', 'flammable'],
    needsDry: true, purposeText: 'tar and glue, on a dry wheel',
  },
  acidShampoo: {
    name: 'acid shampoo', ratings: { mineral: 3, film: 1 }, wear: 'hardly', strength: ratio(200, 50),
    dwellSeconds: seconds(30, 120), delivery: 'bucket', surfaces: ['wheel'], traits: ['mildAcid'], hazards: ['irritant'],
    needsDry: false, purposeText: 'mineral scale, reviving a clogged coating',
  },
  alkalineFoam: {
    name: 'high-alkaline wheel foam', ratings: { film: 4, freshDust: 3, organic: 3 }, wear: 'strips', strength: ratio(20, 5),
    dwellSeconds: seconds(60, 240), delivery: 'lance', surfaces: ['wheel'], traits: ['strongAlkali'], hazards: ['irritant', 'corrosive'],
    needsDry: false, purposeText: 'heavy film, neglected wheels',
  },
  acidCleaner: {
    name: 'acid wheel cleaner', ratings: { freshDust: 4, bondedDust: 3, mineral: 4, film: 1 }, wear: 'strips', strength: ratio(6, 4),
    dwellSeconds: seconds(20, 60), delivery: 'trigger', surfaces: ['wheel'], traits: ['strongAcid'], hazards: ['irritant', 'corrosive', 'fumes'],
    needsDry: false, purposeText: 'very heavy dust on sound lacquer',
  },
  heavyGel: {
    name: 'heavy wheel gel', ratings: { film: 4, freshDust: 4, bondedDust: 3, organic: 3 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(180, 420), delivery: 'trigger', surfaces: ['wheel'], traits: ['ironReactive'], hazards: ['irritant', 'fumes'],
    needsDry: false, purposeText: 'neglected wheels in one step',
  },
  metalPolish: {
    name: 'metal polish', ratings: { mineral: 1 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(0, 120), delivery: 'cloth', surfaces: ['wheel'], traits: ['abrasive'], hazards: ['irritant'],
    needsDry: true, purposeText: 'haze and dullness of bare metal, by hand',
  },
} as const satisfies Record<string, Omit<CleaningFamily, 'purpose' | keyof Character>> // prettier-ignore

const protecting = {
  quickDetailer: {
    name: 'quick detailer', protection: 'quickDetailer', onWet: false, strength: neat, dwellSeconds: seconds(0, 60),
    delivery: 'cloth', surfaces: ['wheel'], traits: ['gloss'], hazards: [], purposeText: 'slickness for a week or two',
  },
  sprayRinseSilica: {
    name: 'spray-and-rinse silica', protection: 'sprayRinseSilica', onWet: true, strength: neat, dwellSeconds: seconds(5, 30),
    delivery: 'trigger', surfaces: ['wheel'], traits: [], hazards: ['irritant'], purposeText: 'protection on the wet wheel at every visit',
  },
  sprayWax: {
    name: 'spray wax', protection: 'sprayWax', onWet: false, strength: neat, dwellSeconds: seconds(0, 60),
    delivery: 'cloth', surfaces: ['wheel'], traits: ['gloss'], hazards: [], purposeText: 'about five washes',
  },
  spraySealant: {
    name: 'wipe-on spray sealant', protection: 'spraySealant', onWet: false, strength: neat, dwellSeconds: seconds(30, 180),
    delivery: 'cloth', surfaces: ['wheel'], traits: [], hazards: ['irritant'], purposeText: 'months, on a dry clean wheel',
  },
  wheelWax: {
    name: 'wheel wax', protection: 'wheelWax', onWet: false, strength: neat, dwellSeconds: seconds(180, 600),
    delivery: 'cloth', surfaces: ['wheel'], traits: ['gloss'], hazards: [], purposeText: 'thin, haze, buff',
  },
  ceramicCoating: {
    name: 'ceramic wheel coating', protection: 'ceramicCoating', onWet: false, strength: neat, dwellSeconds: seconds(60, 300),
    delivery: 'cloth', surfaces: ['wheel'], traits: [], hazards: ['irritant', 'fumes', 'flammable'], purposeText: 'years, on bare degreased wheels',
  },
  coatingTopper: {
    name: 'coating topper', protection: 'coatingTopper', onWet: false, strength: neat, dwellSeconds: seconds(10, 60),
    delivery: 'cloth', surfaces: ['wheel'], traits: [], hazards: [], purposeText: 'renews a coating',
  },
  matteSealant: {
    name: 'matte sealant', protection: 'matteSealant', onWet: false, strength: neat, dwellSeconds: seconds(10, 60),
    delivery: 'cloth', surfaces: ['wheel'], traits: [], hazards: [], purposeText: 'protection without gloss',
  },
  tyreDressingWater: {
    name: 'water-based tyre dressing', protection: 'tyreDressingWater', onWet: false, strength: neat, dwellSeconds: seconds(0, 300),
    delivery: 'brush', surfaces: ['tyre'], traits: [], hazards: [], purposeText: 'satin to matte, no sling when thin',
  },
  tyreDressingSolvent: {
    name: 'solvent-based tyre dressing', protection: 'tyreDressingSolvent', onWet: false, strength: neat, dwellSeconds: seconds(0, 600),
    delivery: 'brush', surfaces: ['tyre'], traits: ['solvent', 'gloss'], hazards: ['flammable', 'fumes'], purposeText: 'wet gloss, lasts longer',
  },
  tyreCoating: {
    name: 'tyre coating', protection: 'tyreCoating', onWet: false, strength: neat, dwellSeconds: seconds(0, 600),
    delivery: 'brush', surfaces: ['tyre'], traits: [], hazards: ['irritant'], purposeText: 'months on bare clean rubber',
  },
  linerDressing: {
    name: 'liner dressing', protection: 'linerDressing', onWet: false, strength: ratio(2, 1), dwellSeconds: seconds(0, 600),
    delivery: 'trigger', surfaces: ['arch'], traits: [], hazards: [], purposeText: 'dark, even liners',
  },
  discInhibitor: {
    name: 'disc corrosion inhibitor', protection: 'discInhibitor', onWet: true, strength: { from: 0.05, to: 0.05 }, dwellSeconds: seconds(0, 60),
    delivery: 'trigger', surfaces: [], traits: [], hazards: [], purposeText: 'only where whoever answers for the brakes allows it',
  },
} as const satisfies Record<string, Omit<ProtectingFamily, 'purpose' | keyof Character>> // prettier-ignore

export type CleaningFamilyId = keyof typeof cleaning
export type ProtectingFamilyId = keyof typeof protecting
export type FamilyId = CleaningFamilyId | ProtectingFamilyId

export const cleaningFamilyIds = Object.keys(cleaning) as CleaningFamilyId[]
export const protectingFamilyIds = Object.keys(protecting) as ProtectingFamilyId[]
/** All families, cleaning ones first and mildest first. */
export const familyIds: readonly [FamilyId, ...FamilyId[]] = [
  'rinselessPresoak',
  ...[...cleaningFamilyIds, ...protectingFamilyIds].slice(1),
]

const families: Readonly<Record<FamilyId, Family>> = Object.fromEntries([
  ...cleaningFamilyIds.map((id) => [id, { purpose: 'clean', ...cleaning[id], ...characters[id] }]),
  ...protectingFamilyIds.map((id) => [id, { purpose: 'protect', ...protecting[id], ...characters[id] }]),
]) as Record<FamilyId, Family>

export const familyOf = (id: FamilyId): Family => families[id]

/** Place in the order from mild to strong; protecting families come after all cleaning ones. */
export const strengthOrder = (id: FamilyId): number => familyIds.indexOf(id)
