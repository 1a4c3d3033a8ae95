// How far plans of ordinary jobs in mild weather are from how a practised person works. Prints a line a job, then JSON.
import { planInOrder } from '@/core/order/orderPlan'
import type { Plan } from '@/core/plan/plan'
import type { Corner, Job } from '@/core/job/job'
import { wheelZones } from '@/core/wheel/zone'
import { isOnRubber, type StageKind } from '@/core/acts/stageKind'
import { ordinaryJob, type Practice } from './procedureJobs'

const count = Number(process.env.JOBS ?? 200)

/** Degrees of a surface below which nothing mild dries before hands are through. */
const coolSurface = 28

const isWheelWork = (kind: StageKind): boolean =>
  !isOnRubber(kind) && !['protect', 'dress', 'presoak', 'polish'].includes(kind)
const isNeglected = ({ loads }: Corner): boolean =>
  wheelZones.some((zone) => Object.values(loads[zone] ?? {}).some((grade) => grade === 4))

/** The work at one wheel against what practice takes. */
function wheelOf(plan: Plan, corner: Corner) {
  const here = plan.steps.filter((step) => step.corner === corner.position)
  const stages = plan.stages.filter(
    ({ kind, corners }) => corners.includes(corner.position) && isWheelWork(kind),
  )
  const brushings = Math.max(
    0,
    ...wheelZones.map((zone) => {
      const chemicals = stages.filter(({ zones }) => zones.includes(zone)).length
      return here.filter(({ act, zones }) => act === 'agitate' && zones.includes(zone)).length - chemicals
    }),
  )
  const rinses = here.filter(({ act }) => act === 'rinse' || act === 'preRinse').length
  const chemicals = new Set(
    plan.stages
      .filter(
        ({ kind, corners }) => corners.includes(corner.position) && (isWheelWork(kind) || isOnRubber(kind)),
      )
      .map(({ productId }) => productId),
  ).size
  const again = isNeglected(corner) ? 1 : 0
  const tools = new Set(here.filter(({ act }) => act === 'agitate').flatMap((step) => step.tools))
  return {
    brushings: brushings - again,
    rinses,
    moreRinses: rinses - chemicals - again - 3,
    tools: tools.size,
  }
}

/** Changes of wheel until the last rinse. */
function wheelChanges(plan: Plan): number {
  const steps = new Map(plan.steps.map((step) => [step.id, step]))
  const worked = (plan.sequence?.entries ?? []).flatMap(({ stepId }) => steps.get(stepId) ?? [])
  const until = worked.findLastIndex(({ act, corner }) => act === 'rinse' && corner !== null)
  const places = worked.slice(0, until + 1).flatMap(({ corner }) => corner ?? [])
  return places.slice(1).filter((place, at) => place !== places[at]).length
}

function judged(practice: Practice, job: Job, spokes: number) {
  const plan = planInOrder(job)
  const minutes = Math.round((plan.sequence?.endSeconds ?? plan.operatorSeconds) / 60)
  const wheels = job.corners.map((corner) => wheelOf(plan, corner))
  const most = (pick: (wheel: (typeof wheels)[number]) => number) => Math.max(...wheels.map(pick))
  const parts = plan.timings.filter(
    ({ sections, surfaceCelsius }) => sections > 1 && surfaceCelsius < coolSurface,
  ).length
  const changes = wheelChanges(plan)
  const [from, to] = practice.minutes(spokes)
  const faults = {
    brushings: most(({ brushings }) => brushings) > 0,
    rinses: most(({ moreRinses }) => moreRinses) > 0,
    parts: parts > 0,
    tools: most(({ tools }) => tools) > practice.metalTools,
    changes: changes > practice.wheelChanges,
    steps: plan.steps.length > practice.steps,
    minutes: minutes < from || minutes > to,
  }
  return {
    plan,
    minutes,
    changes,
    faults,
    rinses: most(({ rinses }) => rinses),
    tools: most(({ tools }) => tools),
  }
}

const rows = Array.from({ length: count }, (_, at) => {
  const { practice, job, spokes } = ordinaryJob(at + 1)
  const { plan, faults, ...figures } = judged(practice, job, spokes)
  const wrong = Object.entries(faults).flatMap(([name, isWrong]) => (isWrong ? [name] : []))
  const finish = job.corners[0]?.finishes.face?.finish
  process.stdout.write(
    `${at + 1} ${practice.service} ${finish} ${spokes}: ${figures.minutes} min, ${plan.steps.length} steps, ${figures.rinses} rinses, ${figures.changes} changes, ${figures.tools} tools, ${plan.sequence?.pattern?.kind}${wrong.length > 0 ? `: ${wrong.join(', ')}` : ''}\n`,
  )
  return {
    service: practice.service,
    ...figures,
    steps: plan.steps.length,
    wrong,
    pattern: plan.sequence?.pattern?.kind,
  }
})
process.stdout.write(`${JSON.stringify(rows)}\n`)
