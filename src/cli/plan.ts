import { planInOrder } from '@/core/order/orderPlan'
import { readJobText } from '@/contracts/jobFile'
import { writePlan } from '@/contracts/planFile'
import { withTexts } from '@/contracts/saidText'
import { shopSay } from '@/i18n/shopSay'
import { readInput, refuse } from './files'

const usage = 'Usage: npm run -s plan -- JOB.json   (or - to read the job from standard input)'

const names = process.argv.slice(2)
const [name] = names
if (name === undefined || names.length > 1) {
  process.stderr.write(`${usage}\n`)
  process.exit(2)
}
const job = readJobText(readInput(name))
if (!job.ok) refuse(job.problems)
const plan = withTexts(writePlan(planInOrder(job.value.job)), shopSay())
process.stdout.write(`${JSON.stringify(plan, null, 2)}\n`)
