import * as v from 'valibot'
import { dilutionStyles } from '@/core/dilution'
import { shortText } from './fields'
import { placeFile } from './conditions'
import { currencyCode, equipmentFile, estimatesFile, schoolsFile } from './jobFile'
import { oneOf } from './fields'

/** Everything a shop sets once. Absent parts have the defaults of the job file. */
export const settings = v.strictObject({
  shopName: v.optional(shortText('shop name'), 'My shop'),
  currency: v.optional(currencyCode, 'EUR'),
  dilutionStyle: v.optional(oneOf(dilutionStyles), 'ratio'),
  ounces: v.optional(v.nullable(oneOf(['us', 'imperial'])), null),
  schools: v.optional(schoolsFile, {}),
  equipment: v.optional(equipmentFile, {}),
  estimates: v.optional(estimatesFile, {}),
  /** Where the shop stands, for the sun; null: not said. */
  place: v.optional(v.nullable(placeFile), null),
  /** Winter is around January. */
  northern: v.optional(v.boolean(), true),
})

export type Settings = v.InferOutput<typeof settings>

export const defaultSettings: Settings = v.parse(settings, {})
