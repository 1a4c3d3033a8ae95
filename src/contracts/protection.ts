import { issueText } from './issueText'
import { clogKinds } from '@/core/protection/clogState'
import * as v from 'valibot'
import { protectionKinds } from '@/core/protection/kinds'
import { positions } from '@/core/wheel/position'
import {
  listOf,
  noLongerThan,
  numberFrom,
  oneOf,
  requestId,
  secondsAgo,
  shortText,
  wholeNumberFrom,
} from './fields'

export const lookGrade = v.picklist([0, 1, 2, 3, 4], issueText('fields.lookGrade'))
/** An instant a person gave; what is in times to come is refused where it is written. */
const instant = v.pipe(
  v.string(),
  v.isoTimestamp(issueText('fields.dayAndTime')),
  v.transform((text) => new Date(text)),
  v.check((at) => !Number.isNaN(at.getTime()), issueText('fields.validDate')),
  v.check((at) => at.getUTCFullYear() >= 1980, issueText('fields.year')),
)
const wheels = v.pipe(
  listOf(oneOf(positions), positions.length, issueText('fields.oneEntry')),
  v.minLength(1, issueText('fields.someWheel')),
)
const who = v.optional(v.pipe(v.string(), v.trim(), noLongerThan('name', 80)), '')

/** Longest wait of a look on a device without any network, s. */
const maxWaitSeconds = 90 * 86_400

/** A look at the protection of some wheels. */
export const lookInput = v.strictObject({
  requestId,
  positions: wheels,
  secondsAgo: secondsAgo(maxWaitSeconds),
  beading: lookGrade,
  release: v.optional(v.nullable(lookGrade), null),
  slickness: v.optional(v.nullable(lookGrade), null),
  glossUnits: v.optional(v.nullable(numberFrom(0, 2000, 'gloss')), null),
  afterReviving: v.boolean(),
})
export type LookInput = v.InferOutput<typeof lookInput>

/** What a look moved, as it is told to who looked. */
export const lookEffects = v.array(
  v.object({
    productName: v.string(),
    axle: v.picklist(['front', 'rear']),
    movedDays: v.number(),
    topUpAt: v.pipe(
      v.string(),
      v.isoTimestamp(),
      v.transform((text) => new Date(text)),
    ),
    narrowerDays: v.number(),
    isGone: v.boolean(),
    clog: v.picklist(clogKinds),
  }),
)

/** Which set goes on a vehicle, and where the one that comes off is stored. */
export const wheelChangeInput = v.strictObject({
  requestId,
  /** Null: none goes on. */
  mountedSetId: v.nullable(v.pipe(v.string(), v.uuid(issueText('problems.wheelChange.set')))),
  at: v.optional(instant),
  storedWhere: v.optional(v.pipe(v.string(), v.trim(), noLongerThan('place', 80)), ''),
  torqueNewtonMetres: v.optional(v.nullable(numberFrom(5, 1000, 'newtonMetres')), null),
  kilometres: v.optional(v.nullable(numberFrom(0, 3_000_000, 'km')), null),
  /** Of the set that goes on. */
  dateCode: v.optional(
    v.pipe(
      v.string(),
      v.trim(),
      v.regex(/^$|^\d{4}$|^[A-Za-z0-9 -]{1,20}$/, issueText('problems.wheelChange.dateCode')),
    ),
    '',
  ),
  treadMillimetres: v.optional(v.nullable(numberFrom(0, 40, 'mm')), null),
})
export type WheelChangeInput = v.InferOutput<typeof wheelChangeInput>

/** Protection that was put on outside a visit, here or by somebody else. */
export const layerInput = v.strictObject({
  requestId,
  positions: wheels,
  kind: oneOf(protectionKinds),
  productName: shortText('productName'),
  at: v.optional(instant),
  coats: v.optional(wholeNumberFrom(1, 5, 'coats'), 1),
  appliedBy: who,
  cureUntil: v.optional(v.nullable(instant), null),
})
export type LayerInput = v.InferOutput<typeof layerInput>

/** Wheels that were new or repainted. */
export const renewalInput = v.strictObject({
  requestId,
  positions: wheels,
  kind: oneOf(['new', 'repainted']),
  at: v.optional(instant),
})
export type RenewalInput = v.InferOutput<typeof renewalInput>

/** What is told of a vehicle's driving. */
export const odometerInput = v.strictObject({
  kilometres: numberFrom(0, 3_000_000, 'km'),
  at: v.optional(instant),
})
export type OdometerInput = v.InferOutput<typeof odometerInput>

export const reminderInput = v.strictObject({
  requestId,
  wheelSetId: v.optional(v.nullable(v.pipe(v.string(), v.uuid())), null),
  about: shortText('reminder', 120),
  dueOn: v.pipe(v.string(), v.isoDate(issueText('fields.day'))),
  repeatDays: v.optional(v.nullable(wholeNumberFrom(1, 3650, 'days')), null),
})
export type ReminderInput = v.InferOutput<typeof reminderInput>

export const dueKey = v.pipe(v.string(), v.minLength(1), v.maxLength(200))
export const snoozeInput = v.strictObject({ key: dueKey, until: instant })

/** Dissolved solids before and behind the deionising filter. */
export const waterInput = v.strictObject({
  beforePpm: numberFrom(0, 5000, 'ppm'),
  afterPpm: numberFrom(0, 5000, 'ppm'),
})

/** When a job is planned for. */
export const hourInput = v.strictObject({ plannedFor: v.nullable(instant) })
