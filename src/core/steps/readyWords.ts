import { message, sentences, type Message, type Said } from '@/core/message/message'
import { familyOf } from '@/core/chemistry/families'
import type { Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import { hasCloth } from '@/core/reachability/means'
import { isOff } from '@/core/reachability/zoneReach'
import { services } from '@/core/visit-kinds/service'
import { stepCautions } from '@/core/reasons/cautions'
import { faceTool } from './toolRinse'

/** What local rules about drains usually speak of. */
const harmsDrains = ({ family }: Stage): boolean =>
  familyOf(family).traits.some((trait) =>
    ['strongAcid', 'mildAcid', 'solvent', 'ironReactive', 'strongAlkali'].includes(trait),
  )

const hasFaceTool = ({ corners }: Job, stages: readonly Stage[]): boolean =>
  corners.some((corner) =>
    stages.some((stage) => stage.corners.includes(corner.position) && faceTool(stage, corner) !== null),
  )

/** Cloths that never meet: what took tar or polish goes to nothing else. */
function clothWords(stages: readonly Stage[]): Said {
  const kinds = new Set(stages.map(({ kind }) => kind))
  const towels = [
    ...(kinds.has('tar') ? [message('steps.beforeWheels.getReady.towelForTar')] : []),
    ...(kinds.has('polish') ? [message('steps.beforeWheels.getReady.towelForPolish')] : []),
    message('steps.beforeWheels.getReady.towelToDry'),
    ...(kinds.has('protect') ? [message('steps.beforeWheels.getReady.towelsToProtect')] : []),
  ]
  return towels.length > 1 ? message('steps.beforeWheels.getReady.towels', { towels }) : ''
}

/** What is made ready: without water there is neither lance nor hose, and loose wheels have no tyre to guide it round. */
export function readyWords(
  job: Job,
  stages: readonly Stage[],
): { detail: Said; cautions: readonly Message[] } {
  const { water } = services[job.service]
  if (!water)
    return {
      detail: message('steps.beforeWheels.getReady.waterless'),
      cautions: [stepCautions.label],
    }
  const things = [
    message('steps.beforeWheels.getReady.bottles'),
    ...(stages.some(({ delivery }) => delivery === 'bucket')
      ? [message('steps.beforeWheels.getReady.suds')]
      : []),
    ...(job.methods.toolRinse === 'bucket' ? [message('steps.beforeWheels.getReady.clearWater')] : []),
    ...(job.methods.toolRinse === 'bucket' && hasFaceTool(job, stages)
      ? [message('steps.beforeWheels.getReady.faceWater')]
      : []),
    ...(isOff(job) ? [] : [message('steps.beforeWheels.getReady.hoseGuides')]),
  ]
  return {
    detail: sentences(
      message('steps.beforeWheels.getReady.things', { things: { capital: things } }),
      hasCloth(job) && clothWords(stages),
      job.vehicleKind !== 'looseSet' &&
        message(`steps.beforeWheels.getReady.body.${job.methods.wheelsOrder}`),
    ),
    cautions: [
      stepCautions.lance,
      stepCautions.neverMix,
      ...(stages.some(harmsDrains) ? [stepCautions.runOff] : []),
      stepCautions.label,
    ],
  }
}
