import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { ZoneLoads } from './zoneLoads'
import { discFactors, padFactors, type Brakes } from '@/core/wheel/brakes'
import { axleOf, type Position } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'
import { amountOfGrade, grades, type Grade, type Soil } from './soil'
import { log, power } from '@/core/quantity/portableMath'

/** What happened since the wheels were last clean. */
export interface SinceClean {
  readonly kilometres: number
  readonly days: number
  readonly brakes: Brakes
  /** Salt on the road since then. */
  readonly winter: boolean
  /** How this vehicle differs from the house's expectation, learnt from its visits; 1 is as expected. */
  readonly dustFactor: number
  /** The same for browning, learnt from the foam of its tyres; absent: as expected. */
  readonly browningFactor?: number
}

/** The grade nearest to an amount on the doubling scale, by ratio. */
export function gradeOfAmount(amount: number): Grade {
  if (amount < 0.5) return 0
  return grades.slice(1).reduce<Grade>((nearest, grade) => {
    const distance = (one: Grade) => Math.abs(log(amount / amountOfGrade(one)))
    return distance(grade) < distance(nearest) ? grade : nearest
  }, 1)
}

/** Amounts expected on one wheel: kilometres × pad × disc × axle for dust, the road and the season for the rest. House estimates. */
export function expectedAmounts(
  position: Position,
  since: SinceClean,
  overrides: EstimateOverrides,
): Partial<Record<Soil, number>> {
  const axle = axleOf(position)
  const { pads, discs } = since.brakes[axle]
  const thousands = since.kilometres / 1000
  const share = axle === 'front' ? 1 : estimate('rearDustShare', overrides)
  const dust = thousands * padFactors[pads] * discFactors[discs] * share * since.dustFactor
  const season = since.winter ? estimate('winterFilmFactor', overrides) : 1
  return {
    freshDust: dust * estimate('dustPer1000Km', overrides),
    bondedDust: dust * estimate('bondedPer1000Km', overrides),
    film: thousands * estimate('filmPer1000Km', overrides) * season,
    grit: since.winter ? thousands * season : thousands * 0.4,
    tyreBrowning: (since.days / 30) * estimate('browningPerMonth', overrides) * (since.browningFactor ?? 1),
  }
}

/** Where each soil gathers first. */
const zonesOf: Partial<Record<Soil, readonly Zone[]>> = {
  freshDust: ['face', 'barrel'],
  bondedDust: ['barrel', 'face'],
  film: ['face', 'barrel', 'arch'],
  grit: ['arch'],
  tyreBrowning: ['tyre'],
}

/** The load to offer at intake for one wheel; the barrel keeps what the face is washed of. */
export function expectedLoads(
  position: Position,
  since: SinceClean,
  overrides: EstimateOverrides,
): ZoneLoads {
  const loads: Partial<Record<Zone, Partial<Record<Soil, Grade>>>> = {}
  for (const [soil, amount] of Object.entries(expectedAmounts(position, since, overrides)) as [
    Soil,
    number,
  ][]) {
    for (const zone of zonesOf[soil] ?? []) {
      const grade = gradeOfAmount(zone === 'face' && soil === 'bondedDust' ? amount / 2 : amount)
      if (grade > 0) loads[zone] = { ...loads[zone], [soil]: grade }
    }
  }
  return loads
}

/** How fast one look moves what is known of a vehicle. */
const learningRate = 0.35

/**
 * Moves what is known of a vehicle towards what was seen: the ratio of seen to expected, on a log scale.
 * @returns a factor from 0.25 to 4; unchanged where nothing was expected
 */
export function learntFactor(factor: number, expectedAmount: number, gradedAmount: number): number {
  if (expectedAmount < 0.25) return factor
  // A clean wheel says "less", not "nothing".
  const ratio = Math.max(0.25, gradedAmount) / expectedAmount
  return Math.min(4, Math.max(0.25, factor * power(ratio, learningRate)))
}

/** What stayed last time is still there: at least a clear grade of it is offered. */
export const withLeftovers = (
  loads: ZoneLoads,
  leftovers: readonly { readonly zone: Zone; readonly soil: Soil }[],
): ZoneLoads =>
  leftovers.reduce<ZoneLoads>(
    (all, { zone, soil }) => ({
      ...all,
      [zone]: { ...all[zone], [soil]: Math.max(2, all[zone]?.[soil] ?? 0) as Grade },
    }),
    loads,
  )
