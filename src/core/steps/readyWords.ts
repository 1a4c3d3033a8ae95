import { familyOf } from '@/core/chemistry/families'
import type { Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import { hasCloth } from '@/core/reachability/means'
import { isOff } from '@/core/reachability/zoneReach'
import type { Schools } from '@/core/schools/schools'
import { services } from '@/core/visit-kinds/service'
import { stepCautions } from '@/core/words/cautions'
import { faceTool } from './toolRinse'
import { listed } from '@/core/words/listed'

const bodyWords: Record<Schools['wheelsOrder'], string> = {
  first: 'Wheels come before the body wash.',
  last: 'The body is washed first; rinse it again after the wheels.',
  between: 'The body is washed in between, while chemistry dwells on the wheels.',
}

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
function clothWords(stages: readonly Stage[]): string {
  const kinds = new Set(stages.map(({ kind }) => kind))
  const towels = [
    ...(kinds.has('tar') ? ['one for tar alone'] : []),
    ...(kinds.has('polish') ? ['one for polish alone'] : []),
    'one to dry with',
    ...(kinds.has('protect') ? ['clean ones for what is put on'] : []),
  ]
  return towels.length > 1 ? ` Towels apart: ${listed(towels)}.` : ''
}

/** What is made ready: without water there is neither lance nor hose, and loose wheels have no tyre to guide it round. */
export function readyWords(
  job: Job,
  stages: readonly Stage[],
): { detail: string; cautions: readonly string[] } {
  const { water } = services[job.service]
  if (!water)
    return {
      detail: 'Bottles labelled, two folded cloths a wheel, one damp and one dry.',
      cautions: [stepCautions.label],
    }
  const things = [
    'Bottles mixed and labelled',
    ...(stages.some(({ delivery }) => delivery === 'bucket') ? ['the suds in their bucket'] : []),
    ...(job.schools.toolRinse === 'bucket' ? ['a bucket of clear water for the tools'] : []),
    ...(job.schools.toolRinse === 'bucket' && hasFaceTool(job, stages) ? ['a second one for the faces'] : []),
    ...(isOff(job) ? [] : ['hose guides under the tyres']),
  ]
  const cloths = hasCloth(job) ? clothWords(stages) : ''
  const body = job.vehicleKind === 'looseSet' ? '' : ` ${bodyWords[job.schools.wheelsOrder]}`
  return {
    detail: `${things.join(', ')}.${cloths}${body}`,
    cautions: [
      stepCautions.lance,
      stepCautions.neverMix,
      ...(stages.some(harmsDrains) ? [stepCautions.runOff] : []),
      stepCautions.label,
    ],
  }
}
