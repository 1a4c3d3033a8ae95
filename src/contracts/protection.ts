import { clogKinds } from '@/core/protection/clogState'
import * as v from 'valibot'
import { protectionKinds } from '@/core/protection/kinds'
import { positions } from '@/core/wheel/position'
import { list, numberFrom, oneOf, requestId, secondsAgo, shortText, wholeNumberFrom } from './fields'

export const lookGrade = v.picklist([0, 1, 2, 3, 4], 'Give a grade from 0 (nothing left) to 4 (like new).')
/** An instant a person gave; what is in times to come is refused where it is written. */
const instant = v.pipe(
  v.string(),
  v.isoTimestamp('Give a day and a time.'),
  v.transform((text) => new Date(text)),
  v.check((at) => !Number.isNaN(at.getTime()), 'Enter a valid date.'),
  v.check((at) => at.getUTCFullYear() >= 1980, 'Give a year after 1980.'),
)
const wheels = v.pipe(
  list(oneOf(positions), positions.length, 'At most one entry a wheel.'),
  v.minLength(1, 'Choose at least one wheel.'),
)
const who = v.optional(v.pipe(v.string(), v.trim(), v.maxLength(80, 'Keep the name to 80 characters.')), '')

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
  glossUnits: v.optional(v.nullable(numberFrom(0, 2000, 'gloss units')), null),
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
  mountedSetId: v.nullable(v.pipe(v.string(), v.uuid('Choose one of the sets.'))),
  at: v.optional(instant),
  storedWhere: v.optional(
    v.pipe(v.string(), v.trim(), v.maxLength(80, 'Keep the place to 80 characters.')),
    '',
  ),
  torqueNewtonMetres: v.optional(v.nullable(numberFrom(5, 1000, 'N·m')), null),
  kilometres: v.optional(v.nullable(numberFrom(0, 3_000_000, 'km')), null),
  /** Of the set that goes on. */
  dateCode: v.optional(
    v.pipe(
      v.string(),
      v.trim(),
      v.regex(
        /^$|^\d{4}$|^[A-Za-z0-9 -]{1,20}$/,
        'Give the date code from the sidewall, such as 2423 for week 24 of 2023.',
      ),
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
  productName: shortText('product name'),
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
  dueOn: v.pipe(v.string(), v.isoDate('Give a day.')),
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
