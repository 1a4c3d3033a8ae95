import { message } from '@/core/message/message'
import { printError } from '@/i18n/terminal'
import { planInOrder } from '@/core/order/orderPlan'
import { readJobText } from '@/contracts/jobFile'
import { writePlan } from '@/contracts/planFile'
import { withTexts } from '@/contracts/saidText'
import { shopSay } from '@/i18n/shopSay'
import { readInput, refuse } from './files'

const names = process.argv.slice(2)
const [name] = names
if (name === undefined || names.length > 1) {
  printError(message('commands.plan.usage'))
  process.exit(2)
}
const job = readJobText(readInput(name))
if (!job.ok) refuse(job.problems)
const plan = withTexts(writePlan(planInOrder(job.value.job)), shopSay())
process.stdout.write(`${JSON.stringify(plan, null, 2)}\n`)
