import type { LayerDue } from './due'
import type { Axle } from '@/core/wheel/position'

/** Layers of one kind on one axle of a wheel set: what a person renews in one go. */
export interface DueEntry {
  readonly wheelSetId: string
  readonly vehicleName: string
  readonly wheelSetName: string
  readonly axle: Axle
  readonly kindName: string
  readonly productName: string
  readonly appliedAt: Date
  readonly due: LayerDue
}
