import { exposureOf, setCourse } from '@/core/protection/wear'
import { wearEstimatesOf } from '@/core/protection/houseWear'
import type { ProtectionKind } from '@/core/protection/kinds'
import type { LookGrade, WornWash } from '@/core/protection/record'
import { seasonsOf } from '@/core/protection/seasons'
import { usedBy } from '@/core/protection/used'
import { winterMonths } from '@/core/soils/winter'
import type { Axle } from '@/core/wheel/position'

const estimates = wearEstimatesOf({}, { winterMonths: winterMonths.northern, salt: 'usual' })
const seasons = seasonsOf(estimates)

/** Somebody never sees quite the same: a fixed small shift, shares of health, by the number of the look. */
const shifts = [0.05, -0.06, 0.02, -0.03, 0.07, 0, -0.05, 0.03] as const

/** A layer in the demo's story, and what has been done to it. */
export interface ToldLayer {
  readonly axle: Axle
  readonly kind: ProtectionKind
  readonly appliedAt: Date
  readonly kilometresPerWeek: number
  readonly washes: readonly WornWash[]
  /** How much faster than usual the set wears, and how much longer than its kind the product lasts. */
  readonly faster: number
  readonly longer: number
}

/** What a look at a layer of the demo shows: the house's wear, told with the story's own set and product. */
export function seenGrade(layer: ToldLayer, at: Date, number: number): LookGrade {
  const set = { id: 'demo', kilometresPerWeek: layer.kilometresPerWeek, dustFactor: 1, stored: [] }
  const worn = {
    id: 'layer', setId: 'demo', axle: layer.axle, productId: 'product', appliedAt: layer.appliedAt, endedAt: null,
  } // prettier-ignore
  const kind = estimates.kinds[layer.kind]
  if (!kind) throw new Error(`No estimate for ${layer.kind}`)
  const course = setCourse({ set, layers: [worn], washes: layer.washes, looks: [] }, seasons, at.getTime())
  const wear = exposureOf(course, set, worn, kind, estimates).wearAt(at.getTime())
  const used = usedBy(wear, { faster: layer.faster / layer.longer, since: 1, winter: 1 })
  const shown = Math.max(0, 1 - used) + (shifts[number % shifts.length] ?? 0)
  return Math.min(4, Math.max(0, Math.round(shown * 4))) as LookGrade
}
