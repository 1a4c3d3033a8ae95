import { toJsonSchema } from '@valibot/to-json-schema'
import * as v from 'valibot'
import { productFile, toolFile } from './cabinet'
import { list } from './fields'
import { jobFile } from './jobFile'
import { planFile } from './planFile'
import { forecastFile, recordFile } from './shopRecord'
import { wheelSetFile } from './wheelSet'

export const cabinetFormat = 'even-spoke/cabinet/1'

/** Archived products go along, so that it may hold more than a plan can weigh. */
const longestCabinet = 2000

/** Products and tools as one file. */
export const cabinetFile = v.strictObject({
  format: v.literal(cabinetFormat),
  products: v.optional(list(productFile, longestCabinet, 'products'), []),
  tools: v.optional(list(toolFile, longestCabinet, 'tools'), []),
})

/** The open formats, by the name of their published schema. */
export const formats = {
  job: jobFile,
  plan: planFile,
  'wheel-set': wheelSetFile,
  cabinet: cabinetFile,
  record: recordFile,
  forecast: forecastFile,
} as const

/**
 * JSON Schema of a format, as it is published. Checks that JSON Schema cannot say (a tyre code that reads, a strength
 * that is not open) are left out there and made by the program.
 */
export const schemaText = (schema: (typeof formats)[keyof typeof formats]): string =>
  `${JSON.stringify(toJsonSchema(schema, { errorMode: 'ignore', typeMode: 'input' }), null, 2)}\n`
