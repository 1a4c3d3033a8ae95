import { planInOrder } from '@/core/order/orderPlan'
import { planPasses } from '@/core/passes/planPasses'
import { ordinaryJob } from '/work/main/bench/procedureJobs'
for (const seed of process.argv.slice(2).map(Number)) {
  const { job, practice } = ordinaryJob(seed)
  const plan = planInOrder(job)
  const p = planPasses(plan)
  console.log(seed, practice.service, plan.headline)
  console.log('  before', p.before.map((s) => s.title))
  for (const q of p.passes) console.log('  ', q.id, q.corners.length, q.stageIds.join('+'), q.secondsAtWheel, q.parts, '|', q.moves.map((m) => m.words + (m.corners.length < q.corners.length ? `(${m.corners.length})` : '')+(m.tools.length?`[${m.tools.join('+')}]`:'')).join(' · '))
  console.log('  after', p.after.map((s) => s.title))
}
