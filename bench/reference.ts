// Clock minutes of the trade's usual jobs against what a practised person needs. Prints one line of JSON.
import { planInOrder } from '@/core/order/orderPlan'
import { referenceJob, references, type Reference } from './referenceJobs'

const planned = (reference: Reference, people: number) => planInOrder(referenceJob(reference, people))

const rows = references.map((reference) => {
  const plan = planned(reference, 1)
  const minutes = (plan.sequence?.endSeconds ?? plan.operatorSeconds) / 60
  const forTwo = (planned(reference, 2).sequence?.endSeconds ?? 0) / 60
  const rinses = plan.steps.filter(({ act }) => act === 'rinse' || act === 'preRinse').length
  const { name, before, from, to, wheels = 4 } = reference
  return { name, before, from, to, minutes, forTwo, rinsesPerWheel: rinses / wheels, headline: plan.headline }
})
process.stdout.write(`${JSON.stringify(rows)}\n`)
