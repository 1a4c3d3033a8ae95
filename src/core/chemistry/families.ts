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
    ratings: { grit: 2, film: 1, freshDust: 1 }, wear: 'none', strength: ratio(250, 100),
    dwellSeconds: seconds(60, 300), delivery: 'pumpFoamer', surfaces: ['wheel'], traits: [], hazards: [],
    needsDry: false,
  },
  waterlessSpray: {
    ratings: { freshDust: 1, film: 1 }, wear: 'none', strength: neat,
    dwellSeconds: seconds(10, 60), delivery: 'trigger', surfaces: ['wheel'], traits: ['gloss'], hazards: [],
    needsDry: true,
  },
  carShampoo: {
    ratings: { film: 1, freshDust: 1, organic: 1 }, wear: 'none', strength: ratio(1000, 400),
    dwellSeconds: seconds(0, 600), delivery: 'bucket', surfaces: ['wheel'], traits: [], hazards: [],
    needsDry: false,
  },
  wheelShampoo: {
    ratings: { film: 2, freshDust: 2, organic: 1 }, wear: 'hardly', strength: ratio(1000, 500),
    dwellSeconds: seconds(0, 600), delivery: 'bucket', surfaces: ['wheel'], traits: [], hazards: [],
    needsDry: false,
  },
  maintenanceCleaner: {
    ratings: { film: 2, freshDust: 2, organic: 1 }, wear: 'hardly', strength: ratio(1, 0),
    dwellSeconds: seconds(60, 240), delivery: 'trigger', surfaces: ['wheel'], traits: [], hazards: ['irritant'],
    needsDry: false,
  },
  allPurpose: {
    ratings: { film: 3, freshDust: 2, organic: 3, tyreBrowning: 2 }, wear: 'some', strength: ratio(10, 4),
    dwellSeconds: seconds(45, 300), delivery: 'trigger', surfaces: ['wheel', 'tyre', 'arch'], traits: ['mildAlkali'], hazards: ['irritant'],
    needsDry: false,
  },
  degreaser: {
    ratings: { film: 4, freshDust: 2, organic: 3, tyreBrowning: 3 }, wear: 'strips', strength: ratio(10, 4),
    dwellSeconds: seconds(45, 240), delivery: 'pumpFoamer', surfaces: ['wheel', 'tyre', 'arch'], traits: ['strongAlkali'], hazards: ['irritant'],
    needsDry: false,
  },
  wheelAndTyre: {
    ratings: { film: 3, freshDust: 3, organic: 2, tyreBrowning: 2 }, wear: 'some', strength: neat,
    dwellSeconds: seconds(60, 240), delivery: 'trigger', surfaces: ['wheel', 'tyre'], traits: ['mildAlkali'], hazards: ['irritant'],
    needsDry: false,
  },
  tyreCleaner: {
    ratings: { tyreBrowning: 4, film: 3 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(30, 180), delivery: 'trigger', surfaces: ['tyre'], traits: ['strongAlkali'], hazards: ['irritant'],
    needsDry: false,
  },
  ironWheelCleaner: {
    ratings: { film: 2, freshDust: 3, bondedDust: 2, organic: 1 }, wear: 'some', strength: neat,
    dwellSeconds: seconds(120, 300), delivery: 'trigger', surfaces: ['wheel'], traits: ['ironReactive'], hazards: ['irritant', 'fumes'],
    needsDry: false,
  },
  ironRemover: {
    ratings: { freshDust: 2, bondedDust: 4 }, wear: 'some', strength: neat,
    dwellSeconds: seconds(120, 300), delivery: 'trigger', surfaces: ['wheel'], traits: ['ironReactive'], hazards: ['irritant', 'fumes'],
    needsDry: false,
  },
  ironTarRemover: {
    ratings: { bondedDust: 3, tar: 3 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(120, 240), delivery: 'trigger', surfaces: ['wheel'], traits: ['ironReactive', 'solvent'], hazards: ['irritant', 'fumes', 'flammable'],
    needsDry: true,
  },
  ironClayLubricant: {
    ratings: { bondedDust: 4 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(60, 240), delivery: 'trigger', surfaces: ['wheel'], traits: ['ironReactive', 'abrasive'], hazards: ['irritant', 'fumes'],
    needsDry: false,
  },
  tarRemover: {
    ratings: { tar: 4 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(60, 180), delivery: 'trigger', surfaces: ['wheel'], traits: ['solvent'], hazards: ['irritant', 'fumes', 'flammable'],
    needsDry: true,
  },
  acidShampoo: {
    ratings: { mineral: 3, film: 1 }, wear: 'hardly', strength: ratio(200, 50),
    dwellSeconds: seconds(30, 120), delivery: 'bucket', surfaces: ['wheel'], traits: ['mildAcid'], hazards: ['irritant'],
    needsDry: false,
  },
  alkalineFoam: {
    ratings: { film: 4, freshDust: 3, organic: 3 }, wear: 'strips', strength: ratio(20, 5),
    dwellSeconds: seconds(60, 240), delivery: 'lance', surfaces: ['wheel'], traits: ['strongAlkali'], hazards: ['irritant', 'corrosive'],
    needsDry: false,
  },
  acidCleaner: {
    ratings: { freshDust: 4, bondedDust: 3, mineral: 4, film: 1 }, wear: 'strips', strength: ratio(6, 4),
    dwellSeconds: seconds(20, 60), delivery: 'trigger', surfaces: ['wheel'], traits: ['strongAcid'], hazards: ['irritant', 'corrosive', 'fumes'],
    needsDry: false,
  },
  heavyGel: {
    ratings: { film: 4, freshDust: 4, bondedDust: 3, organic: 3 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(180, 420), delivery: 'trigger', surfaces: ['wheel'], traits: ['ironReactive'], hazards: ['irritant', 'fumes'],
    needsDry: false,
  },
  metalPolish: {
    ratings: { mineral: 1 }, wear: 'strips', strength: neat,
    dwellSeconds: seconds(0, 120), delivery: 'cloth', surfaces: ['wheel'], traits: ['abrasive'], hazards: ['irritant'],
    needsDry: true,
  },
} as const satisfies Record<string, Omit<CleaningFamily, 'purpose' | keyof Character>> // prettier-ignore

const protecting = {
  quickDetailer: {
    protection: 'quickDetailer', onWet: false, strength: neat, dwellSeconds: seconds(0, 60),
    delivery: 'cloth', surfaces: ['wheel'], traits: ['gloss'], hazards: [],
  },
  sprayRinseSilica: {
    protection: 'sprayRinseSilica', onWet: true, strength: neat, dwellSeconds: seconds(5, 30),
    delivery: 'trigger', surfaces: ['wheel'], traits: [], hazards: ['irritant'],
  },
  sprayWax: {
    protection: 'sprayWax', onWet: false, strength: neat, dwellSeconds: seconds(0, 60),
    delivery: 'cloth', surfaces: ['wheel'], traits: ['gloss'], hazards: [],
  },
  spraySealant: {
    protection: 'spraySealant', onWet: false, strength: neat, dwellSeconds: seconds(30, 180),
    delivery: 'cloth', surfaces: ['wheel'], traits: [], hazards: ['irritant'],
  },
  wheelWax: {
    protection: 'wheelWax', onWet: false, strength: neat, dwellSeconds: seconds(180, 600),
    delivery: 'cloth', surfaces: ['wheel'], traits: ['gloss'], hazards: [],
  },
  ceramicCoating: {
    protection: 'ceramicCoating', onWet: false, strength: neat, dwellSeconds: seconds(60, 300),
    delivery: 'cloth', surfaces: ['wheel'], traits: [], hazards: ['irritant', 'fumes', 'flammable'],
  },
  coatingTopper: {
    protection: 'coatingTopper', onWet: false, strength: neat, dwellSeconds: seconds(10, 60),
    delivery: 'cloth', surfaces: ['wheel'], traits: [], hazards: [],
  },
  matteSealant: {
    protection: 'matteSealant', onWet: false, strength: neat, dwellSeconds: seconds(10, 60),
    delivery: 'cloth', surfaces: ['wheel'], traits: [], hazards: [],
  },
  tyreDressingWater: {
    protection: 'tyreDressingWater', onWet: false, strength: neat, dwellSeconds: seconds(0, 300),
    delivery: 'brush', surfaces: ['tyre'], traits: [], hazards: [],
  },
  tyreDressingSolvent: {
    protection: 'tyreDressingSolvent', onWet: false, strength: neat, dwellSeconds: seconds(0, 600),
    delivery: 'brush', surfaces: ['tyre'], traits: ['solvent', 'gloss'], hazards: ['flammable', 'fumes'],
  },
  tyreCoating: {
    protection: 'tyreCoating', onWet: false, strength: neat, dwellSeconds: seconds(0, 600),
    delivery: 'brush', surfaces: ['tyre'], traits: [], hazards: ['irritant'],
  },
  linerDressing: {
    protection: 'linerDressing', onWet: false, strength: ratio(2, 1), dwellSeconds: seconds(0, 600),
    delivery: 'trigger', surfaces: ['arch'], traits: [], hazards: [],
  },
  discInhibitor: {
    protection: 'discInhibitor', onWet: true, strength: { from: 0.05, to: 0.05 }, dwellSeconds: seconds(0, 60),
    delivery: 'trigger', surfaces: [], traits: [], hazards: [],
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
