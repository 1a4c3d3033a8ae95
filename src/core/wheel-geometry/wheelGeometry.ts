import { message } from '@/core/message/message'
import { failWith, succeed, showFound, type Problem, type Result } from '@/core/result'
import { millimetresPerInch, readTyreCode, type Tyre } from '@/core/tyre/tyreCode'
import { estimateOpenness } from './openness'

/** What a person measures or reads off one wheel. */
export interface WheelMeasures {
  readonly tyreCode: string
  /** Rim width between the bead seats, inches ("8.5J"). */
  readonly rimWidthInches: number
  /** Spokes of the face; 0 for a closed disc or a trim cover. */
  readonly spokeCount: number
  /** Width of one spoke at half its length, mm. */
  readonly spokeWidthMillimetres: number
  /** How far a spoke reaches back from its front, mm. */
  readonly spokeDepthMillimetres: number
  /** Share of the face that is open, 0 to 0.95; absent: estimated from the spokes. */
  readonly openness?: number
  /** Pieces of hardware to brush around: lug nuts, bolts, rivets, badges; absent: five lugs. */
  readonly hardwarePieces?: number
}

/** One wheel with everything that follows from its measures. */
export interface WheelGeometry {
  readonly tyre: Tyre
  readonly rimWidthInches: number
  readonly spokeCount: number
  readonly spokeWidthMillimetres: number
  readonly spokeDepthMillimetres: number
  /** Share of the face that is open, 0 to 0.95. */
  readonly openness: number
  readonly opennessEstimated: boolean
  readonly hardwarePieces: number
}

/** What most wheels have: five lugs. */
export const usualHardwarePieces = 5

/** Ranges a road wheel can have; the fix names the range. */
export const wheelLimits = {
  rimWidthInches: { low: 1.5, high: 16, unit: 'in' },
  spokeCount: { low: 0, high: 120, unit: null },
  spokeWidthMillimetres: { low: 1, high: 300, unit: 'mm' },
  spokeDepthMillimetres: { low: 1, high: 200, unit: 'mm' },
  openness: { low: 0, high: 0.95, unit: null },
  hardwarePieces: { low: 0, high: 80, unit: null },
} as const

/** Problems with the measures, each at its field; empty when the wheel can exist. */
export function wheelMeasureProblems(measures: WheelMeasures): Problem[] {
  const problems: Problem[] = []
  const tyre = readTyreCode(measures.tyreCode)
  if (!tyre.ok)
    problems.push(
      ...tyre.problems.map((problem) => ({
        ...problem,
        path: 'tyreCode',
        found: showFound(measures.tyreCode),
      })),
    )
  for (const field of Object.keys(wheelLimits) as (keyof typeof wheelLimits)[]) {
    const value = measures[field]
    const { low, high, unit } = wheelLimits[field]
    if (value === undefined || (value >= low && value <= high)) continue
    problems.push({
      path: field,
      found: showFound(value),
      fix: message('measures.wheel.range', { field, low, high, unit: unit ?? 'none' }),
    })
  }
  const whole = {
    spokeCount: message('measures.wheel.wholeSpokes'),
    hardwarePieces: message('measures.wheel.wholePieces'),
  } as const
  for (const field of ['spokeCount', 'hardwarePieces'] as const) {
    const value = measures[field]
    if (value !== undefined && !Number.isInteger(value) && !problems.some(({ path }) => path === field))
      problems.push({ path: field, found: showFound(value), fix: whole[field] })
  }
  return problems
}

/** Checks the measures and works out the wheel; every problem is at its field. */
export function wheelGeometry(measures: WheelMeasures): Result<WheelGeometry> {
  const problems = wheelMeasureProblems(measures)
  const tyre = readTyreCode(measures.tyreCode)
  if (problems.length > 0 || !tyre.ok) return failWith(problems)
  const rimDiameterMillimetres = tyre.value.rimDiameterInches * millimetresPerInch
  return succeed({
    tyre: tyre.value,
    rimWidthInches: measures.rimWidthInches,
    spokeCount: measures.spokeCount,
    spokeWidthMillimetres: measures.spokeWidthMillimetres,
    spokeDepthMillimetres: measures.spokeDepthMillimetres,
    openness:
      measures.openness ??
      estimateOpenness(measures.spokeCount, measures.spokeWidthMillimetres, rimDiameterMillimetres),
    opennessEstimated: measures.openness === undefined,
    hardwarePieces: measures.hardwarePieces ?? usualHardwarePieces,
  })
}
