import { reachableZones } from '@/core/choice/wheelGroup'
import { familyOf } from '@/core/chemistry/families'
import type { Corner, Job } from '@/core/job/job'
import { services } from '@/core/services/service'
import type { StageTiming } from '@/core/plan/stageTiming'
import { inWalkingOrder, positionNames, type Position } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'
import { stepCautions } from '@/core/words/cautions'
import { closingSteps, jobStep, openingSteps } from './jobSteps'
import { dryingSeconds, knockDownSeconds } from '@/core/effort/operatorTime'
import { passesOf } from './passes'
import type { Stage, StageKind, Step } from '@/core/plan/plan'
import { passSteps, stageSteps, type StepContext } from './stageSteps'
import { contactZones, toolsFor } from './stepTools'

/**
 * The steps of a visit in the plain order: every wheel finished before the next, so that nothing can dry while another is worked,
 * then drying, protection and dressing all round.
 */
export function orderSteps(
  job: Job,
  stages: readonly Stage[],
  timings: readonly StageTiming[],
  startsDry: readonly Position[] = [],
): Step[] {
  const steps = openingSteps(job)
  const service = services[job.service]
  let mists = 0
  const context: StepContext = { job, timings, nextMist: () => (mists += 1) }
  const add = (stage: Stage, corner: Corner): void => void steps.push(...stageSteps(stage, corner, context))

  const corners = inWalkingOrder(job.corners)
  const reachableRinse = (corner: Corner): Zone[] =>
    (['arch', 'barrel', 'face', 'tyre'] as const).filter(
      (zone) => zone === 'arch' || zone === 'tyre' || reachableZones(corner, job).includes(zone),
    )
  const at = (corner: Corner, kinds: readonly StageKind[]) =>
    stages.filter((stage) => kinds.includes(stage.kind) && stage.corners.includes(corner.position))
  const onWet = (stage: Stage) => {
    const family = familyOf(stage.family)
    return family.purpose === 'protect' && family.onWet
  }
  const cleaning = stages.filter(({ kind }) => kind !== 'protect' && kind !== 'dress')

  const lookAgainAt = (corner: Corner): void => {
    const look = jobStep(
      job,
      'lookAgain',
      `Look again, ${positionNames[corner.position].toLowerCase()}`,
      'Spoke backs, behind the caliper, valve, lug seats, arch top. What stayed is treated on the spot, then rinsed.',
      'What is missed now is sealed in.',
    )
    steps.push({
      ...look,
      id: `${corner.position}.lookAgain`,
      corner: corner.position,
      operatorSeconds: Math.round(look.operatorSeconds / corners.length),
    })
  }
  for (const corner of corners) {
    const mine = cleaning.filter((stage) => stage.corners.includes(corner.position))
    if (service.water && !startsDry.includes(corner.position))
      steps.push({
        ...jobStep(
          job,
          'preRinse',
          `Knock-down rinse, ${positionNames[corner.position].toLowerCase()}`,
          'Arch, barrel, face, tyre.',
          'Grit goes before anything touches the wheel.',
          [stepCautions.lance],
        ),
        id: `${corner.position}.preRinse`,
        corner: corner.position,
        zones: reachableRinse(corner),
        operatorSeconds: knockDownSeconds(corner, job.archLiner, job),
      })
    for (const pass of passesOf(mine, corner, job, timings)) {
      const [only] = pass.stages
      const before = steps.at(-1)
      if (pass.because !== null && before?.act === 'rinse' && before.corner === corner.position)
        steps[steps.length - 1] = { ...before, why: `A rinse of its own: ${pass.because}.` }
      if (pass.acts.length > 0) steps.push(...passSteps(pass, corner, context))
      else if (only) add(only, corner)
    }
    // On the wet wheel, and before anything seals in what stayed.
    if (cleaning.length > 0) lookAgainAt(corner)
    for (const stage of at(corner, ['protect']).filter(onWet)) add(stage, corner)
  }
  for (const corner of corners) {
    // Left wet until the whole car is washed, unless something goes on dry.
    const driedLater =
      job.schools.drying === 'leaveWet' &&
      !at(corner, ['protect', 'dress']).some((stage) => stage.kind === 'dress' || !onWet(stage))
    if (service.water && !driedLater)
      steps.push({
        ...jobStep(
          job,
          'dry',
          `Dry ${positionNames[corner.position].toLowerCase()}`,
          'Lug holes, behind the spokes and the valve first.',
          'Moisture under a sealant spoils it.',
        ),
        id: `${corner.position}.dry`,
        corner: corner.position,
        zones: contactZones.filter((zone) => reachableZones(corner, job).includes(zone)),
        tools: toolsFor('dry', [], null, job),
        operatorSeconds: dryingSeconds(corner, job),
      })
    for (const stage of at(corner, ['protect']).filter((stage) => !onWet(stage))) add(stage, corner)
    for (const stage of at(corner, ['dress'])) add(stage, corner)
  }
  return [...steps, ...closingSteps(job)]
}
