import { asIssue, issueText } from './issueText'
import * as v from 'valibot'
import { conditions, contradiction, finishes } from '@/core/finishes/finish'
import { usualHardwarePieces, wheelLimits, wheelMeasureProblems } from '@/core/wheel-geometry'
import { readTyreCode } from '@/core/tyre/tyreCode'
import { positions } from '@/core/wheel/position'
import { finishZones } from '@/core/wheel/zone'
import { listOf, noLongerThan, numberFrom, oneOf, wholeNumberFrom } from './fields'

const limit = (field: keyof typeof wheelLimits) => {
  const { low, high, unit } = wheelLimits[field]
  return field === 'spokeCount' || field === 'hardwarePieces'
    ? wholeNumberFrom(low, high)
    : numberFrom(low, high, unit)
}

const longestTyreCode = 60

/** Blanks more than one say nothing, and are not stored. */
const tyreCode = v.pipe(
  v.string(),
  v.transform((text) => text.trim().replaceAll(/\s+/g, ' ')),
  noLongerThan('tyreCode', longestTyreCode),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return
    const tyre = readTyreCode(dataset.value)
    if (!tyre.ok) for (const { fix } of tyre.problems) addIssue({ message: asIssue(fix) })
  }),
)

const contradictions = {
  noLacquer: issueText('fields.noLacquer'),
  noCorrosion: issueText('fields.noCorrosion'),
}

export const zoneFinish = v.pipe(
  v.strictObject({
    zone: oneOf(finishZones),
    finish: oneOf(finishes),
    condition: v.optional(oneOf(conditions), 'sound'),
  }),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return
    const { finish, condition } = dataset.value
    const wrong = contradiction(finish, condition)
    if (wrong === null) return
    const path = {
      type: 'object',
      origin: 'value',
      input: dataset.value,
      key: 'condition',
      value: condition,
    } as const
    addIssue({ message: contradictions[wrong], input: condition, path: [path] })
  }),
)

const everyZoneOnce = issueText('fields.zoneOnce')

/** Measures and finishes of one wheel; what a wheel set and a job file share. */
export const wheelEntries = {
  position: oneOf(positions),
  tyreCode,
  rimWidthInches: limit('rimWidthInches'),
  spokeCount: limit('spokeCount'),
  spokeWidthMillimetres: v.optional(limit('spokeWidthMillimetres'), 30),
  spokeDepthMillimetres: v.optional(limit('spokeDepthMillimetres'), 45),
  openness: v.optional(limit('openness')),
  hardwarePieces: v.optional(limit('hardwarePieces'), usualHardwarePieces),
  finishes: v.optional(
    v.pipe(
      listOf(zoneFinish, finishZones.length, everyZoneOnce),
      v.check((all) => new Set(all.map(({ zone }) => zone)).size === all.length, everyZoneOnce),
    ),
    [],
  ),
}

/** Refuses two wheels at one position. */
export const positionsOnce = (corners: readonly { readonly position: string }[]): boolean =>
  new Set(corners.map(({ position }) => position)).size === corners.length

export const oncePerPosition = issueText('fields.positionOnce')

/** What single fields cannot tell: whether the wheel as a whole can exist. */
export const wheelExists = (wheel: Parameters<typeof wheelMeasureProblems>[0]): boolean =>
  wheelMeasureProblems(wheel).length === 0
