import type { Product } from '@/core/chemistry/product'
import { ratingOf } from '@/core/chemistry/product'
import { removalExponent } from '@/core/efficacy/removal'
import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import { millilitresAtCorner } from '@/core/operator-time/amounts'
import { amountOfGrade, type Grade, type Soil } from '@/core/soils/soil'
import { wheelZones } from '@/core/wheel/zone'
import { log } from '@/core/quantity/portableMath'
import { referenceWheel } from './referenceWheel'

/** One package of a product on the same dirt: what a clean wheel costs with it. */
export interface CleanWheelCost {
  readonly productId: string
  readonly productName: string
  readonly packMillilitres: number
  readonly packPriceMinor: number
  /** Strength at which it is cheapest, share of concentrate. */
  readonly fraction: number
  readonly rounds: number
  /** Concentrate for one clean wheel, ml. */
  readonly concentrateMillilitres: number
  /** Minor units, not rounded: some are far below one. */
  readonly costMinor: number
}

/** Soils that are worth comparing on, the commonest first. */
export const comparedSoils = ['freshDust', 'bondedDust', 'film', 'tar', 'mineral', 'tyreBrowning'] as const
export type ComparedSoil = (typeof comparedSoils)[number]

/** More rounds are no way to clean a wheel. */
const maxRounds = 3
/** A bucket serves four wheels. */
const wheelsPerBucket = 4

/**
 * Cost per clean wheel on the same dirt and the same wheel, each product at its own best dilution and in every package, cheapest first.
 * Products that do not get there are left out: a bottle price says nothing about them.
 */
export function cleanWheelCosts(
  products: readonly Product[],
  soil: Soil,
  grade: Grade,
  bucketLitres: number,
  overrides: EstimateOverrides,
): CleanWheelCost[] {
  const wanted = log(Math.max(1, amountOfGrade(grade) / estimate('targetMaintained', overrides)))
  return products
    .filter((product) => !product.archived && ratingOf(product, soil) > 0)
    .flatMap((product) => {
      const { from, to } = product.strength
      const ways = [from, Math.sqrt(from * to), to].flatMap((fraction) => {
        const each = removalExponent(
          soil,
          { product, fraction, dwellSeconds: product.dwellSeconds.max, surfaceCelsius: 20 },
          overrides,
        )
        const rounds = Math.max(1, Math.ceil(wanted / each - 1e-9))
        if (rounds > maxRounds) return []
        const mix =
          product.delivery === 'bucket'
            ? (bucketLitres * 1000) / wheelsPerBucket
            : millilitresAtCorner(product, { wheel: referenceWheel }, wheelZones, overrides)
        return [{ fraction, rounds, concentrateMillilitres: rounds * mix * fraction }]
      })
      const best = ways.sort(
        (a, b) => a.concentrateMillilitres - b.concentrateMillilitres || a.rounds - b.rounds,
      )[0]
      if (!best) return []
      const packs = [
        { millilitres: product.packMillilitres, priceMinor: product.packPriceMinor },
        ...product.otherPacks,
      ]
      return packs.map(({ millilitres, priceMinor }) => ({
        productId: product.id,
        productName: product.name,
        packMillilitres: millilitres,
        packPriceMinor: priceMinor,
        ...best,
        costMinor: (best.concentrateMillilitres * priceMinor) / millilitres,
      }))
    })
    .sort((a, b) => a.costMinor - b.costMinor || a.productName.localeCompare(b.productName))
}
