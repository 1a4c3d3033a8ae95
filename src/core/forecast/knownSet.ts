import type { ProtectionKind } from '@/core/protection/kinds'
import type { SetFacts } from '@/core/protection/setHistory'
import type { ServiceId } from '@/core/visit-kinds/service'
import type { Position, VehicleKind } from '@/core/wheel/position'

/** A fitting of wheels, after which nuts are checked. */
export interface Fitting {
  readonly at: Date
  /** Where the person gave it, N·m. */
  readonly torqueNewtonMetres: number | null
}

/** A set with everything its protection depends on, and what it is called. */
export interface NamedSetFacts extends SetFacts {
  readonly vehicleId: string
  readonly vehicleName: string
  readonly vehicleKind: VehicleKind
  readonly setName: string
}

/** When a set was visited, by what for. */
export interface SetVisits {
  readonly byService: ReadonlyMap<ServiceId, Date>
  readonly firstAt: Date
  readonly lastAt: Date
}

/** A layer whose cure a person gave from the label. */
export interface ToldCure {
  readonly position: Position
  readonly kind: ProtectionKind
  readonly appliedAt: Date
  readonly productName: string
  readonly until: Date
}

/** What a set's due things depend on beside its protection. */
export interface DueFacts {
  readonly visits: SetVisits | null
  /** The last time it was put on by a change of wheels, or refitted after a wheels-off clean. */
  readonly fitting: Fitting | null
  readonly cures: readonly ToldCure[]
}
