import type { Axle } from '@/core/wheel/position'
import type { LayerDue } from './due'
import type { ProtectionFacts } from './kinds'

/** One protection on a wheel set: what a person renews in one go. Fronts and rears wear apart. */
export interface DueEntry {
  readonly wheelSetId: string
  readonly vehicleName: string
  readonly wheelSetName: string
  readonly on: ProtectionFacts['on']
  readonly kindName: string
  readonly productName: string
  readonly appliedAt: Date
  /** At least one, the sooner first. */
  readonly axles: readonly { readonly axle: Axle; readonly due: LayerDue }[]
}

/** The axle that decides when the entry is due. */
export const soonestDue = ({ axles }: DueEntry): LayerDue => {
  const [first] = axles
  if (!first) throw new Error('A due entry has no axle')
  return first.due
}
