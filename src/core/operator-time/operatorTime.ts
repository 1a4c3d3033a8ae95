import { estimate, type EstimateId, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import { familyOf } from '@/core/chemistry/families'
import type { FamilyId } from '@/core/chemistry/families'
import type { Corner, Job } from '@/core/job/job'
import { services } from '@/core/visit-kinds/service'
import { worstGrade } from '@/core/soils/zoneLoads'
import type { Paces } from '@/core/pace/paces'
import type { Grade, Soil } from '@/core/soils/soil'
import { millimetresPerInch } from '@/core/tyre/tyreCode'
import { spokeGapMillimetres, usualHardwarePieces, type WheelGeometry } from '@/core/wheel-geometry'
import type { ArchLiner } from '@/core/wheel/position'
import { wheelZones, zones, type Zone } from '@/core/wheel/zone'
import { zonesAreaM2 } from './amounts'
import type { Act } from '@/core/acts/act'
import type { StageKind } from '@/core/acts/stageKind'

const idOf = (act: Act): EstimateId => `seconds${act.charAt(0).toUpperCase()}${act.slice(1)}` as EstimateId

/** What a person's hours depend on: the shop's values, and how the person's own logged times compare. */
export type Hands = Pick<Job, 'estimates' | 'pace'> & Partial<Pick<Job, 'service'>>

const isQuick = ({ service }: Hands): boolean => service !== undefined && services[service].isQuick === true

/** The wheel and the dirt on it that hands work at. */
export interface WorkedWheel extends Pick<Corner, 'wheel' | 'loads'> {
  /** Zones that an acid goes to; absent: the whole wheel. */
  readonly zones?: readonly Zone[]
}

const paced = (act: Act, seconds: number, pace: Paces): number => seconds * (pace[act]?.factor ?? 1)

/** Whether everything is to come off, to the last corner. */
const isThorough = ({ service }: Hands): boolean =>
  service !== undefined && services[service].targets.bondedDust === 'decontaminated'

/** Looks and what is made ready go wheel by wheel; the rest is done once, however many wheels there are. */
const lookedAt: readonly Act[] = [
  'lookRound',
  'coolCheck',
  'getReady',
  'lookAgain',
  'roll',
  'brakes',
  'writeDown',
]
/** Shorter on a round between two visits: the vehicle is known, and little is made ready. */
const beforehand: readonly Act[] = ['lookRound', 'getReady', 'lookAgain', 'writeDown']

/**
 * Hand time of an act of the whole job, seconds. House estimate for four wheels, corrected by logged times.
 * @param wheels how many there are
 */
export function secondsOfJobAct(act: Act, hands: Hands, wheels = 4): number {
  const { estimates, pace } = hands
  const light = isQuick(hands) && beforehand.includes(act) ? estimate('quickShare', estimates) : 1
  const careful = act === 'lookAgain' && isThorough(hands) ? estimate('spotTreatShare', estimates) : 1
  const share = light * careful * (lookedAt.includes(act) ? 0.3 + 0.7 * (wheels / 4) : 1)
  return Math.round(paced(act, estimate(idOf(act), estimates) * share, pace))
}

/** 0 where there is plenty, 1 where there is nothing. */
const lack = (value: number, plenty: number): number => Math.max(0, 1 - value / plenty)

/**
 * How much longer contact with this wheel takes than with one of ten spokes, wide gaps, an open face and five lugs.
 * @returns a factor, and seconds on top for hardware
 */
export function contactOf(
  wheel: WheelGeometry,
  overrides: EstimateOverrides,
): { readonly factor: number; readonly hardwareSeconds: number } {
  const { spokeCount, spokeWidthMillimetres, tyre, openness, hardwarePieces } = wheel
  const spokes = Math.max(-5, spokeCount - 10)
  const gap = spokeGapMillimetres(
    spokeCount,
    spokeWidthMillimetres,
    tyre.rimDiameterInches * millimetresPerInch,
  )
  // A closed disc has neither gaps nor a barrel to reach.
  const isSpoked = spokeCount > 0
  return {
    factor:
      1 +
      // Few spokes save less than many cost.
      estimate('extraSpokeShare', overrides) * (spokes < 0 ? spokes / 2 : spokes) +
      (isSpoked
        ? estimate('tightGapShare', overrides) * lack(gap, estimate('easyGapMillimetres', overrides))
        : 0) +
      (isSpoked
        ? estimate('closedFaceShare', overrides) * lack(openness, estimate('easyOpenness', overrides))
        : 0),
    hardwareSeconds: estimate('secondsPerPiece', overrides) * (hardwarePieces - usualHardwarePieces),
  }
}

/** Soils that decide how long a stage of a kind is brushed. */
const brushedSoils: Partial<Record<StageKind, readonly Soil[]>> = {
  arch: ['film', 'organic', 'grit'],
  wash: ['film', 'freshDust', 'organic', 'bondedDust'],
  iron: ['bondedDust'],
  mineral: ['mineral'],
  tar: ['tar'],
}

const zonesOfKind = (kind: StageKind): readonly Zone[] => (kind === 'arch' ? ['arch'] : wheelZones)

/** How much longer brushing takes by the grade of what is to come off. */
function dirtFactor(kind: StageKind, { loads }: WorkedWheel, overrides: EstimateOverrides): number {
  const soils = brushedSoils[kind] ?? []
  const grade = Math.max(0, ...soils.map((soil) => worstGrade([{ loads }], zonesOfKind(kind), soil))) as Grade
  switch (grade) {
    case 0:
    case 1:
      return estimate('lightDirtShare', overrides)
    case 2:
      return 1
    case 3:
      return estimate('heavyDirtShare', overrides)
    case 4:
      return estimate('neglectedDirtShare', overrides)
  }
}

/** Acid is brushed where it goes, by its share of the wheel's area; every other cleaner goes all over. */
function brushedShare(
  kind: StageKind,
  { wheel, zones: worked }: WorkedWheel,
  overrides: EstimateOverrides,
): number {
  if (kind !== 'mineral' || !worked) return 1
  return Math.max(
    estimate('spotShare', overrides),
    zonesAreaM2(wheel, worked) / zonesAreaM2(wheel, wheelZones),
  )
}

/** Seconds of the house for one act of a stage at one wheel, before the person's pace. */
function houseSeconds(
  act: Act,
  kind: StageKind,
  at: WorkedWheel,
  overrides: EstimateOverrides,
  family?: FamilyId,
): number {
  const { factor, hardwareSeconds } = contactOf(at.wheel, overrides)
  switch (act) {
    case 'agitate':
      return (
        (estimate('secondsAgitate', overrides) * factor + hardwareSeconds) *
        dirtFactor(kind, at, overrides) *
        brushedShare(kind, at, overrides)
      )
    case 'scrub':
      return kind === 'arch'
        ? estimate('secondsScrubArch', overrides) * dirtFactor(kind, at, overrides)
        : estimate('secondsScrub', overrides)
    case 'wipe':
      return wipingSeconds(kind, at, overrides)
    case 'dry':
      return kind === 'tar'
        ? estimate('secondsDrySpots', overrides)
        : estimate('secondsDry', overrides) * factor
    case 'protect':
      return (
        estimate(protectId(family), overrides) * (protectId(family) === 'secondsProtectSprayed' ? 1 : factor)
      )
    default:
      return estimate(idOf(act), overrides)
  }
}

/** Wiping: lumps by their grade, dust and tyres at a stroke, polish and the wipe before a coating spoke by spoke. */
function wipingSeconds(kind: StageKind, at: WorkedWheel, overrides: EstimateOverrides): number {
  const { factor } = contactOf(at.wheel, overrides)
  switch (kind) {
    case 'tar':
      return estimate('secondsWipe', overrides) * dirtFactor(kind, at, overrides)
    case 'polish':
      return estimate('secondsPolish', overrides) * factor
    case 'protect':
      return estimate('secondsDegrease', overrides) * factor
    case 'tyre':
      return estimate('secondsWipeTyre', overrides)
    default:
      return estimate('secondsWipe', overrides) * Math.sqrt(factor)
  }
}

function protectId(id: FamilyId | undefined): EstimateId {
  const family = id && familyOf(id)
  if (family?.purpose !== 'protect') return 'secondsProtect'
  if (family.protection === 'ceramicCoating') return 'secondsProtectCoating'
  return family.onWet ? 'secondsProtectSprayed' : 'secondsProtect'
}

/** What is gone round to the last corner where everything is to come off. */
const thoroughly: readonly Act[] = ['agitate', 'wipe']
/** What light hands do in less time on a quick round. */
const lightened: readonly Act[] = ['agitate', 'protect']

/**
 * Hand time of one act of a stage at one wheel, seconds, from its geometry and dirt. House estimate, corrected by logged
 * times.
 * @param family of a protection: spraying, wiping and coating take different times
 */
export function secondsOfAct(
  act: Act,
  kind: StageKind,
  at: WorkedWheel,
  hands: Hands,
  family?: FamilyId,
): number {
  const { estimates, pace } = hands
  const light = isQuick(hands) && lightened.includes(act) ? estimate('quickShare', estimates) : 1
  const careful = thoroughly.includes(act) && isThorough(hands) ? estimate('thoroughShare', estimates) : 1
  const seconds = Math.max(5, houseSeconds(act, kind, at, estimates, family) * light * careful)
  return Math.max(1, Math.round(paced(act, seconds, pace)))
}

/** Hand time of the knock-down rinse: by the grit there is, and longer where a fabric liner holds it. */
export function knockDownSeconds(at: WorkedWheel, liner: ArchLiner, { estimates, pace }: Hands): number {
  const grade = worstGrade([at], zones, 'grit')
  const ids = ['secondsPreRinse', 'secondsPreRinse', 'clearGritSeconds', 'heavyGritSeconds', 'neglectedGritSeconds'] as const // prettier-ignore
  const inArch = worstGrade([at], ['arch'], 'grit') > 0
  const fabric = liner === 'fabric' && inArch ? estimate('fabricLinerFactor', estimates) : 1
  return Math.round(paced('preRinse', estimate(ids[grade], estimates) * fabric, pace))
}

/** Hand time of drying a wheel, whatever was on it. */
export const dryingSeconds = (at: WorkedWheel, hands: Hands): number => secondsOfAct('dry', 'wash', at, hands)

/** What the hands do in one stage at one wheel, in order. */
export function actsOfStage(kind: StageKind, rounds: number, family?: FamilyId): readonly Act[] {
  const inRounds = (...acts: Act[]) => Array.from({ length: rounds }, () => acts).flat()
  switch (kind) {
    case 'arch':
    case 'tyre':
      return [...inRounds('spray', 'scrub'), 'rinse']
    case 'wash':
    case 'iron':
    case 'mineral':
      return inRounds('spray', 'agitate', 'rinse')
    case 'tar':
      // Pure solvent works on dry spots; what takes iron too goes on the wet wheel.
      return family === undefined || family === 'tarRemover'
        ? inRounds('dry', 'spray', 'wipe', 'rinse')
        : inRounds('spray', 'wipe', 'rinse')
    case 'waterless':
      return inRounds('spray', 'wipe')
    case 'presoak':
      return ['spray']
    case 'polish':
      return ['wipe']
    case 'protect':
      return family === 'ceramicCoating' ? ['wipe', 'protect'] : ['protect']
    case 'dress':
      return ['dress']
  }
}

/** The wheel as a later round finds it: what is left is brushed like light dirt. */
export const afterRounds = <T extends WorkedWheel>(at: T, round: number): T =>
  round > 1 ? { ...at, loads: {} } : at

/**
 * Hand time of a stage at one wheel, all rounds, seconds.
 * @param isByHand false where nothing in the kit works it, so that it is sprayed and rinsed
 */
export function stageSeconds(
  kind: StageKind,
  rounds: number,
  at: WorkedWheel,
  hands: Hands,
  family?: FamilyId,
  isByHand = true,
): number {
  let round = 0
  return actsOfStage(kind, rounds, family).reduce((sum, act) => {
    if (act === 'spray') round += 1
    if (!isByHand && (act === 'agitate' || act === 'scrub')) return sum
    return sum + secondsOfAct(act, kind, afterRounds(at, round), hands, family)
  }, 0)
}
