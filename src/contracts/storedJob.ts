import * as v from 'valibot'
import { conditionsFile } from './conditions'
import { jobFormat, paceFile, testSpotsFile, wishesFile, type JobFile } from './jobFile'

/** A job as any version of the program stored it: what an earlier one did not say has today's defaults. */
const storedJob = v.looseObject({
  format: v.literal(jobFormat),
  conditions: conditionsFile,
  wishes: wishesFile,
  pace: v.optional(paceFile, {}),
  testSpots: v.optional(testSpotsFile, []),
})

/**
 * Reads a job out of the data.
 * @throws Error where it is none that this version knows
 */
export const readStoredJob = (stored: unknown): JobFile => v.parse(storedJob, stored) as unknown as JobFile
