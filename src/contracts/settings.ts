import * as v from 'valibot'
import { dilutionStyles } from '@/core/dilution/writeDilution'
import { saltLevels } from '@/core/protection/houseWear'
import { list, numberFrom, oneOf, shortText, wholeNumberFrom } from './fields'
import { placeFile } from './conditions'
import { regionSetting } from './region'
import { currencyCode, equipmentFile, estimatesFile, schoolsFile } from './jobFile'

/** Everything a shop sets once. Absent parts have the defaults of the job file. */
export const settings = v.strictObject({
  shopName: v.optional(shortText('shopName'), 'My shop'),
  /** Units and spelling; null: a new shop, as its browser has it. */
  region: v.optional(v.nullable(regionSetting), null),
  currency: v.optional(currencyCode, 'EUR'),
  dilutionStyle: v.optional(oneOf(dilutionStyles), 'ratio'),
  /** What ounces on a label are where the shop measures in millilitres; null: asked. */
  ounces: v.optional(v.nullable(oneOf(['us', 'imperial'])), null),
  schools: v.optional(schoolsFile, {}),
  equipment: v.optional(equipmentFile, {}),
  estimates: v.optional(estimatesFile, {}),
  /** Where the shop stands, for the sun; null: not said. */
  place: v.optional(v.nullable(placeFile), null),
  /** Months in which the roads are salted or wet and cold; null: as usual on this half of the globe. */
  winterMonths: v.optional(v.nullable(list(wholeNumberFrom(1, 12, 'month'), 12, 'months')), null),
  salt: v.optional(oneOf(saltLevels), 'usual'),
  /** The deionising filter; null: none. */
  filter: v.optional(
    v.nullable(
      v.strictObject({
        resinLitres: numberFrom(0.1, 500, 'l'),
        hardnessPpm: numberFrom(1, 3000, 'ppm'),
        litresPerVisit: v.optional(numberFrom(0.5, 500, 'l'), 15),
      }),
    ),
    null,
  ),
  /** Winter is around January. */
  northern: v.optional(v.boolean(), true),
})

export type Settings = v.InferOutput<typeof settings>

export const defaultSettings: Settings = v.parse(settings, {})
