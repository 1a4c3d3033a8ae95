import * as v from 'valibot'
import { volumeSystems } from '@/core/units/jug'
import { englishes, unitChoices } from '@/core/units/region'
import { numberFrom, oneOf } from './fields'

/** How a shop writes and measures. */
export const regionSetting = v.strictObject({
  english: oneOf(englishes),
  units: v.strictObject({
    volume: oneOf(volumeSystems),
    temperature: oneOf(unitChoices.temperature),
    distance: oneOf(unitChoices.distance),
    speed: oneOf(unitChoices.speed),
    pressure: oneOf(unitChoices.pressure),
    torque: oneOf(unitChoices.torque),
    length: oneOf(unitChoices.length),
    hardness: oneOf(unitChoices.hardness),
  }),
  /** What concentrate and water are measured with. */
  jug: v.strictObject({ system: oneOf(volumeSystems), stepMillilitres: numberFrom(0.1, 100, 'ml') }),
})
