import type { Corner } from '@/core/job/job'
import { millimetresPerInch } from '@/core/tyre/tyreCode'
import { spokeGapMillimetres } from '@/core/wheel-geometry'
import { isOff, type VisitSetup } from './zoneReach'

/** Clear gap between two spokes, mm; no limit where the wheel is off and worked from behind. */
export const gapOf = ({ wheel }: Pick<Corner, 'wheel'>, visit: VisitSetup): number =>
  isOff(visit)
    ? Infinity
    : spokeGapMillimetres(
        wheel.spokeCount,
        wheel.spokeWidthMillimetres,
        wheel.tyre.rimDiameterInches * millimetresPerInch,
      )
