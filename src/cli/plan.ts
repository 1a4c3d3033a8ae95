import { readFileSync } from 'node:fs'
import { makePlan } from '@/core/plan/makePlan'
import type { Problem } from '@/core/result'
import { readJobText } from '@/contracts/jobFile'
import { writePlan } from '@/contracts/planFile'

const usage = 'Usage: npm run -s plan -- JOB.json   (or - to read the job from standard input)'

/** One line a problem: where, what was found, how to mend it. Exit code 2. */
function refuse(problems: readonly Problem[]): never {
  for (const { path, found, mend } of problems) {
    process.stderr.write(
      `${path === '' || path.startsWith('[') ? `$${path}` : `$.${path}`}: found ${found}. ${mend}\n`,
    )
  }
  process.exit(2)
}

function read(name: string): string {
  try {
    return readFileSync(name === '-' ? 0 : name, 'utf8')
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error)
    process.stderr.write(`Cannot read ${name === '-' ? 'standard input' : name}: ${reason}\n`)
    process.exit(2)
  }
}

const names = process.argv.slice(2)
const [name] = names
if (name === undefined || names.length > 1) {
  process.stderr.write(`${usage}\n`)
  process.exit(2)
}
const job = readJobText(read(name))
if (!job.ok) refuse(job.problems)
process.stdout.write(`${JSON.stringify(writePlan(makePlan(job.value.job)), null, 2)}\n`)
