import { planInOrder } from '@/core/order/orderPlan'
import { planPasses } from '@/core/passes/planPasses'
import { ordinaryJob } from '/work/main/bench/procedureJobs'
for (const seed of process.argv.slice(2).map(Number)) {
  const { job, practice, spokes } = ordinaryJob(seed)
  const plan = planInOrder(job)
  const p = planPasses(plan)
  const c = job.corners[0]!
  console.log(seed, practice.service, spokes, c.finishes.face?.finish, JSON.stringify(c.loads.barrel), JSON.stringify(c.loads.tyre), plan.headline)
  for (const s of plan.stages) console.log('     ', s.id, s.productName, 'x' + s.rounds, s.corners.length, s.dwellSeconds.min + '-' + s.dwellSeconds.max, s.longest?.kind, Math.round(s.operatorSeconds / s.corners.length), s.keptOffWheel ? 'OFF' : '')
  for (const t of plan.timings.filter((t) => t.sections > 1 && t.corner === 'frontLeft')) console.log('   PART', t.stageId, t.sections, t.wetLimitSeconds, t.text)
  for (const q of p.passes) console.log('  ', q.title, q.corners.length, q.stageIds.join('+'), q.secondsAtWheel, q.because ? `BECAUSE ${q.because}` : '', '|', q.moves.map((m) => m.words + (m.corners.length < q.corners.length ? `(${m.corners.length})` : '')).join(' · '))
}
