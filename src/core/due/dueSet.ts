import type { SetForecast } from '@/core/protection/setForecast'
import type { SetFacts } from '@/core/protection/setHistory'
import type { Fitting } from '@/core/forecast'
import type { ServiceId } from '@/core/visit-kinds/service'
import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { VehicleKind } from '@/core/wheel/position'

/** What is known of a set when its due things are worked out. */
export interface DueSet {
  readonly facts: SetFacts
  readonly forecast: SetForecast
  readonly vehicleId: string
  readonly vehicleKind: VehicleKind
  /** On the vehicle, as far as is known. */
  readonly isMounted: boolean
  /** When a layer on it may be wetted, where a person said so: by kind and day. */
  readonly cureUntil: ReadonlyMap<string, Date>
  readonly lastVisits: ReadonlyMap<ServiceId, Date>
  readonly firstVisitAt: Date | null
  readonly lastVisitAt: Date | null
  readonly lastFitting: Fitting | null
  readonly kilometresPerWeek: number
}

/** What every kind of due thing is worked out with. */
export interface DueContext {
  readonly now: Date
  readonly overrides: EstimateOverrides
}
