import { issueText } from './issueText'
import * as v from 'valibot'
import { discKinds, padKinds } from '@/core/wheel/brakes'
import { archLiners, vehicleKinds } from '@/core/wheel/position'
import { list, noLongerThan, numberFrom, oneOf, shortText, wholeNumberFrom } from './fields'
import { oncePerPosition, positionsOnce, wheelEntries, wheelExists } from './wheel'

export const wheelEntry = v.pipe(
  v.strictObject(wheelEntries),
  v.check((wheel) => wheelExists(wheel), issueText('fields.noSuchWheel')),
)

export type WheelEntry = v.InferOutput<typeof wheelEntry>

const axleBrakes = v.strictObject({
  pads: v.optional(oneOf(padKinds), 'organic'),
  discs: v.optional(oneOf(discKinds), 'iron'),
})

/** A wheel set as a person edits it. */
export const wheelSetInput = v.strictObject({
  vehicle: v.strictObject({
    name: shortText('vehicleName'),
    kind: oneOf(vehicleKinds),
    archLiner: v.optional(oneOf(archLiners), 'plastic'),
    brakes: v.optional(
      v.strictObject({ front: v.optional(axleBrakes, {}), rear: v.optional(axleBrakes, {}) }),
      {},
    ),
    kilometresPerWeek: v.optional(numberFrom(0, 10_000, 'km'), 250),
    /** Null: not said. */
    parked: v.optional(v.nullable(oneOf(['garage', 'street'])), null),
  }),
  name: shortText('setName'),
  /** Null: in use all year. */
  season: v.optional(v.nullable(oneOf(['winter', 'summer'])), null),
  note: v.optional(v.pipe(v.string(), noLongerThan('note', 2000)), ''),
  wheels: v.pipe(
    list(wheelEntry, 12, 'wheelsOfSet'),
    v.minLength(1, issueText('fields.setNeedsWheel')),
    v.check((list) => positionsOnce(list), oncePerPosition),
  ),
})

export type WheelSetInput = v.InferOutput<typeof wheelSetInput>

/** A vehicle that is known, as a new set of it starts from. */
export const knownVehicle = v.strictObject({
  id: v.pipe(v.string(), v.uuid()),
  version: wholeNumberFrom(1, 2_000_000_000),
  vehicle: wheelSetInput.entries.vehicle,
  /** Names of its sets, to tell vehicles of one name apart. */
  setNames: v.array(v.string()),
})
export type KnownVehicle = v.InferOutput<typeof knownVehicle>
export const knownVehicles = v.strictObject({ vehicles: v.array(knownVehicle) })

/** Whose a new set is: of a known vehicle as the form saw it, of another one of that name, or not asked. */
export const newSetOwner = v.variant('kind', [
  v.strictObject({
    kind: v.literal('known'),
    id: v.pipe(v.string(), v.uuid(issueText('problems.wheelSet.vehicle'))),
    version: wholeNumberFrom(1, 2_000_000_000),
  }),
  v.strictObject({ kind: v.literal('another') }),
  v.strictObject({ kind: v.literal('unsaid') }),
])
export type NewSetOwner = v.InferOutput<typeof newSetOwner>

/** A wheel set as a file. */
export const wheelSetFormat = 'even-spoke/wheel-set/1'
export const wheelSetFile = v.strictObject({ format: v.literal(wheelSetFormat), ...wheelSetInput.entries })
