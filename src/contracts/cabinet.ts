import { issueText } from './issueText'
import { longestKinds } from '@/core/chemistry/longest'
import * as v from 'valibot'
import { deliveries, protectionWears } from '@/core/chemistry/family'
import { familyIds, familyOf } from '@/core/chemistry/families'
import type { Product } from '@/core/chemistry/product'
import { usualPacks } from '@/core/chemistry/usualPacks'
import { readDilution } from '@/core/dilution/readDilution'
import { soils } from '@/core/soils/soil'
import {
  stiffnesses,
  toolDuties,
  toolKinds,
  toolStates,
  usualDuty,
  type Tool,
  type ToolKind,
} from '@/core/tools/tool'
import { list, noLongerThan, numberFrom, oneOf, shortText, strengthText, wholeNumberFrom } from './fields'

/** As many as a plan can weigh; a cabinet holds no more in use, so that every plan can be made. */
export const maxProducts = 500
export const maxTools = 200

/** Of a pack; a person enters it in whole currency. */
const priceMinor = v.pipe(
  v.number(),
  v.integer(issueText('fields.price')),
  v.minValue(1, issueText('fields.price')),
  v.maxValue(100_000_000, issueText('fields.priceTooHigh')),
)

const rating = v.picklist([0, 1, 2, 3, 4], issueText('fields.rating'))
export const ratings = v.partial(v.strictObject(v.entriesFromList(soils, rating)))

/** A product as files write it, field by field. */
const productFields = v.strictObject({
  id: shortText('productId', 60),
  name: shortText('productName'),
  family: v.picklist(familyIds, issueText('fields.oneOf', { values: familyIds.join(', ') })),
  strength: v.optional(strengthText),
  dwellSeconds: v.optional(
    v.pipe(
      v.strictObject({ min: wholeNumberFrom(0, 3600, 'seconds'), max: wholeNumberFrom(1, 7200, 'seconds') }),
      v.check(({ min, max }) => min <= max, issueText('problems.product.dwell')),
    ),
  ),
  delivery: v.optional(oneOf(deliveries)),
  ratings: v.optional(ratings, {}),
  packMillilitres: v.optional(numberFrom(1, 1_000_000, 'ml')),
  packPriceMinor: v.optional(priceMinor),
  stockMillilitres: v.optional(numberFrom(0, 1_000_000, 'ml')),
  /** What the longest dwell means, where that differs from the family. */
  longest: v.optional(oneOf(longestKinds)),
  wear: v.optional(oneOf(protectionWears)),
  otherPacks: v.optional(
    list(
      v.strictObject({
        millilitres: numberFrom(1, 1_000_000, 'ml'),
        priceMinor: priceMinor,
      }),
      8,
      'otherPacks',
    ),
    [],
  ),
  note: v.optional(v.pipe(v.string(), noLongerThan('note', 500)), ''),
  containsFluoride: v.optional(v.boolean(), false),
  /** Name or note speak of fluoride, but the safety data sheet was read and names none. */
  fluorideChecked: v.optional(v.boolean(), false),
  archived: v.optional(v.boolean(), false),
})

/** A product as files write it. What is left out comes from its family; a cleaner that cleans nothing is refused. */
export const productFile = v.pipe(
  productFields,
  v.forward(
    v.check(({ family: id, ratings: own }) => {
      const family = familyOf(id)
      return (
        family.purpose === 'protect' || soils.some((soil) => (own[soil] ?? family.ratings[soil] ?? 0) > 0)
      )
    }, issueText('problems.product.noRating')),
    ['ratings'],
  ),
)

export type ProductFile = v.InferOutput<typeof productFile>

/** Fills in the family's defaults. The strength was checked by the schema, so it reads as a mix. */
export function productOf(file: ProductFile): Product {
  const family = familyOf(file.family)
  const usual = usualPacks[file.family]
  const packMillilitres = file.packMillilitres ?? usual.packMillilitres
  const reading = file.strength === undefined ? null : readDilution(file.strength)
  return {
    ...file,
    strength: reading?.kind === 'mix' ? reading.mix : family.strength,
    dwellSeconds: file.dwellSeconds ?? family.dwellSeconds,
    delivery: file.delivery ?? family.delivery,
    packMillilitres,
    packPriceMinor: file.packPriceMinor ?? usual.packPriceMinor,
    stockMillilitres: file.stockMillilitres ?? packMillilitres,
  }
}

/** No two spokes stand further apart than this, mm. */
const widestGapMillimetres = 180
const throughTheGap: readonly ToolKind[] = ['barrelBrush', 'barrelWand', 'flatBrush', 'longBrush']

const toolFields = v.strictObject({
  id: shortText('toolId', 60),
  name: shortText('toolName'),
  kind: oneOf(toolKinds),
  stiffness: v.optional(oneOf(stiffnesses), 'soft'),
  diameterMillimetres: numberFrom(1, 500, 'mm'),
  squeezedMillimetres: v.optional(numberFrom(1, 500, 'mm')),
  reachMillimetres: v.optional(numberFrom(10, 2000, 'mm'), 150),
  state: v.optional(oneOf(toolStates), 'clean'),
  dedicatedTo: v.optional(oneOf(toolDuties)),
})

export const toolFile = v.pipe(
  toolFields,
  v.forward(
    v.check(
      ({ kind, diameterMillimetres, squeezedMillimetres }) =>
        !throughTheGap.includes(kind) || (squeezedMillimetres ?? diameterMillimetres) <= widestGapMillimetres,
      issueText('problems.tool.tooThick', { most: { millimetres: widestGapMillimetres } }),
    ),
    ['squeezedMillimetres'],
  ),
  v.forward(
    v.check(
      ({ diameterMillimetres, squeezedMillimetres }) =>
        squeezedMillimetres === undefined || squeezedMillimetres <= diameterMillimetres,
      issueText('problems.tool.squeezed'),
    ),
    ['squeezedMillimetres'],
  ),
)

export type ToolFile = v.InferOutput<typeof toolFile>

/** A tool that does not squeeze passes only where its head does. */
export const toolOf = (file: ToolFile): Tool => ({
  ...file,
  squeezedMillimetres: file.squeezedMillimetres ?? file.diameterMillimetres,
  dedicatedTo: file.dedicatedTo ?? usualDuty(file.kind),
})

export const idsOnce = (list: readonly { readonly id: string }[]): boolean =>
  new Set(list.map(({ id }) => id)).size === list.length
