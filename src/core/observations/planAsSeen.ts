import { questionOf } from '@/core/cards/cardsOf'
import type { Job } from '@/core/job/job'
import type { Plan } from '@/core/plan/plan'
import type { Answer } from '@/core/run/answer'
import type { Answered, PlanAsSeen } from '@/core/run/standingEvents'
import { seeFoam } from './seeFoam'
import { seeIron } from './seeIron'
import { seeLook } from './seeLook'
import { seeTestSpot } from './seeTestSpot'
import type { Sighting } from './sighting'

/** One answer more; the plan as it was where the step is gone or asks something else. */
function see(
  job: Job,
  plan: Plan,
  { stepId, answer, settledBefore }: Answered,
  answers: ReadonlyMap<string, Answer>,
  unaware: ReadonlySet<string>,
): Plan {
  const step = plan.steps.find(({ id }) => id === stepId)
  const corner = job.corners.find(({ position }) => position === step?.corner)
  if (!step || !corner || questionOf(step) !== answer.question) return plan
  const settled = new Set([...settledBefore, ...unaware])
  const seen: Omit<Sighting, 'answer'> = { job, plan, step, corner, answers, settled }
  switch (answer.question) {
    case 'foam':
      return seeFoam({ ...seen, answer })
    case 'iron':
      return seeIron({ ...seen, answer })
    case 'look':
      return seeLook({ ...seen, answer })
    case 'testSpot':
      return seeTestSpot({ ...seen, answer })
    default:
      return answer satisfies never
  }
}

/** Plans that were worked out before: a run is replayed with every tap. */
const maxKnown = 500

/** All that an answer's effect depends on beside the answers before it. */
function keyOf({ stepId, answer, settledBefore }: Answered): string {
  const [wheel] = stepId.split('.')
  // A product that is replaced goes from all its wheels; everything else happens at one.
  const matters = answer.question === 'testSpot' ? '' : `${wheel}.`
  const settled = [...settledBefore].filter((id) => id.startsWith(matters))
  return `\n${stepId} ${JSON.stringify(answer)} ${settled.join(' ')}`
}

/**
 * The plan of a job as what was seen changes it. Rounds are added or fall away, what stayed gets its next escalation, a product that
 * marked is replaced; what was worked stays. The same answers give the same plan, in the browser and on the server.
 */
export function planAsSeen(job: Job, plan: Plan): PlanAsSeen {
  const known = new Map<string, Plan>()
  return (answers, unaware) => {
    let key = [...unaware].join(' ')
    let now = plan
    const given = new Map<string, Answer>()
    for (const answered of answers) {
      key += keyOf(answered)
      given.set(answered.stepId, answered.answer)
      const next = known.get(key) ?? see(job, now, answered, given, unaware)
      if (known.size >= maxKnown) known.clear()
      known.set(key, next)
      now = next
    }
    return now
  }
}
