import fc, { type RunDetails } from 'fast-check'
import { relative } from 'node:path'
import { expect } from 'vitest'

// The same situations in every run, so that a change is what turns a test red; `PROPERTY_SEED=$RANDOM` tries others.
const seed = Number(process.env.PROPERTY_SEED ?? 20_261_126)

/** Says what failed, and the command that tries the same situations again. */
function report(details: RunDetails<unknown>): void {
  if (!details.failed) return
  const { testPath, currentTestName } = expect.getState()
  const where = testPath ? relative(process.cwd(), testPath) : ''
  const times = process.env.PROPERTY_TIMES ? `PROPERTY_TIMES=${process.env.PROPERTY_TIMES} ` : ''
  const name = (currentTestName ?? '').replaceAll(' > ', ' ').replace(/[^\w ,;:-]/g, '.')
  throw new Error(
    `${fc.defaultReportMessage(details) ?? 'A property failed.'}\n\nAgain: ${times}PROPERTY_SEED=${details.seed} npx vitest run ${where} -t '${name}'`,
    { cause: details.errorInstance },
  )
}

fc.configureGlobal({ seed, reporter: report })
