import { reachableZones } from '@/core/choice/wheelGroup'
import { familyOf } from '@/core/chemistry/families'
import { estimate } from '@/core/estimates/houseEstimates'
import type { Corner, Job } from '@/core/job/job'
import type { Schools } from '@/core/job/schools'
import { services } from '@/core/services/service'
import { inWalkingOrder, positionNames, type Position } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'
import type { StageTiming } from '@/core/timing/stageTiming'
import { stepCautions } from './cautions'
import {
  actsOfStage,
  afterRounds,
  dryingSeconds,
  knockDownSeconds,
  secondsOfAct,
  secondsOfJobAct,
} from './operatorTime'
import { actsInParts, partName } from './parts'
import type { Act, Stage, StageKind, Step } from './plan'
import { passesOf, type Pass } from './passes'
import { sharedRinseText, textOf } from './stepTexts'

const contactZones: readonly Zone[] = [
  'barrel',
  'spokeBacks',
  'windows',
  'face',
  'lip',
  'lugSeats',
  'cap',
  'valve',
  'caliper',
]

const bodyWords: Record<Schools['wheelsOrder'], string> = {
  first: 'Wheels come before the body wash.',
  last: 'The body is washed first; rinse it again after the wheels.',
  between: 'The body is washed in between, while chemistry dwells on the wheels.',
}

const jobStep = (
  job: Job,
  act: Act,
  title: string,
  detail: string,
  why: string,
  cautions: readonly string[] = [],
): Step => ({
  id: act,
  act,
  corner: null,
  stageId: null,
  title,
  detail,
  zones: [],
  tools: [],
  operatorSeconds: secondsOfJobAct(act, job, job.corners.length),
  startsDwell: null,
  stopsDwellOf: null,
  wetLimitSeconds: null,
  part: null,
  why,
  cautions,
})

/** Two wheels a side come off and on together. */
const liftSeconds = (job: Job): number =>
  Math.ceil(job.corners.length / 2) * estimate('secondsLiftSide', job.estimates)

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
  const steps: Step[] = []
  const service = services[job.service]

  const ofKind = (kind: string) =>
    job.tools
      .filter((tool) => tool.kind === kind && tool.state === 'clean' && tool.dedicatedTo !== 'paint')
      .slice(0, 1)
      .map(({ name }) => name)
  const toolsFor = (act: Act, zones: readonly Zone[], stage: Stage | null): string[] => {
    if (act === 'dress') return ofKind('applicator')
    if (act === 'dry' || act === 'wipe') {
      return act === 'dry' && job.schools.drying === 'air'
        ? [...ofKind('blower'), ...ofKind('towel')]
        : ofKind('towel')
    }
    if (act !== 'agitate' && act !== 'scrub') return []
    const used = (stage?.tools ?? []).filter(
      ({ tool, zones: reached }) => tool !== null && reached.some((zone) => zones.includes(zone)),
    )
    return used.map(({ tool }) => tool as string)
  }
  const brushRinse =
    job.schools.toolRinse === 'bucket' ? 'Rinse the brush often.' : 'Rinse the brush under running water.'

  let mists = 0
  const nextMist = (): number => (mists += 1)

  const addStage = (stage: Stage, corner: Corner) => {
    const where = positionNames[corner.position].toLowerCase()
    const reachable = reachableZones(corner, job)
    const zones = stage.zones.filter((zone) => zone === 'arch' || zone === 'tyre' || reachable.includes(zone))
    const family = familyOf(stage.family)
    // The clock runs from the first spray to the rinse; a wash from the bucket has nothing that dwells dry.
    const dwells = stage.kind !== 'protect' && stage.kind !== 'dress' && stage.kind !== 'waterless'
    // Rubber and liners are scrubbed in rounds and rinsed once at the end.
    const rinsedOnce = stage.kind === 'tyre' || stage.kind === 'arch'
    const timing = timings.find((one) => one.stageId === stage.id && one.corner === corner.position)
    const sections = timing?.sections ?? 1
    const wetLimitSeconds = timing?.wetLimitSeconds ?? null
    // Each part is sprayed, brushed and rinsed before the next, so that nothing of it waits for the rest.
    const acts = actsInParts(actsOfStage(stage.kind, stage.rounds), sections, timing?.mists ?? 0)
    let round = 0
    for (const { act, part } of acts) {
      if (part <= 1 && (act === 'spray' || (act === 'dry' && stage.kind === 'tar')))
        round = act === 'spray' && stage.kind === 'tar' ? round : round + 1
      const contact = contactZones.filter((zone) => zones.includes(zone))
      const shown = act === 'agitate' ? contact : zones
      const wetProtect = act === 'protect' && family.purpose === 'protect' && family.onWet
      const whole = secondsOfAct(act, stage.kind, afterRounds(corner, round), job, stage.family)
      const inPart = part > 0 ? `, ${partName(part, sections)}` : ''
      const text = textOf(act, stage, where, shown, round, brushRinse)
      const startsDwell =
        (act === 'spray' && dwells) || wetProtect
          ? { minSeconds: stage.dwellSeconds.min, maxSeconds: stage.dwellSeconds.max }
          : null
      const mistNumber = act === 'reMist' ? nextMist() : 0
      steps.push({
        id: `${corner.position}.${stage.id}.${act}${mistNumber || ''}${stage.rounds > 1 && !(act === 'rinse' && rinsedOnce) ? round : ''}${part > 0 ? `.part${part}` : ''}`,
        act,
        corner: corner.position,
        stageId: stage.id,
        ...text,
        title: `${text.title}${inPart}`,
        zones: shown,
        tools: toolsFor(act, act === 'scrub' ? zones : contact, stage),
        operatorSeconds: part > 0 && act !== 'reMist' ? Math.max(5, Math.ceil(whole / sections)) : whole,
        startsDwell,
        stopsDwellOf: act === 'rinse' ? stage.id : null,
        wetLimitSeconds: act === 'rinse' || !dwells || act === 'dry' ? null : wetLimitSeconds,
        part: part > 0 ? { number: part, of: sections } : null,
        cautions:
          act === 'spray' || act === 'protect'
            ? stage.cautions
            : act === 'dress'
              ? [stepCautions.brakes]
              : [],
      })
      if (wetProtect) {
        steps.push({
          id: `${corner.position}.${stage.id}.rinse`,
          act: 'rinse',
          corner: corner.position,
          stageId: stage.id,
          title: `Rinse ${where} at once`,
          detail: 'Strong, even rinse straight after spraying.',
          zones,
          tools: [],
          operatorSeconds: secondsOfAct('rinse', stage.kind, corner, job),
          startsDwell: null,
          stopsDwellOf: stage.id,
          wetLimitSeconds: null,
          part: null,
          why: 'Left standing, silica dries to streaks.',
          cautions: [],
        })
      }
    }
  }

  /** Stages that share a rinse: put on, worked, and off together. */
  const addPass = ({ stages: shared, acts }: Pass, corner: Corner) => {
    const where = positionNames[corner.position].toLowerCase()
    const reachable = reachableZones(corner, job)
    const zonesOf = (stage: Stage): Zone[] =>
      stage.zones.filter((zone) => zone === 'arch' || zone === 'tyre' || reachable.includes(zone))
    for (const { stage, act, round } of acts) {
      const zones = zonesOf(stage)
      const shown = act === 'agitate' ? contactZones.filter((zone) => zones.includes(zone)) : zones
      const timing = timings.find((one) => one.stageId === stage.id && one.corner === corner.position)
      steps.push({
        id: `${corner.position}.${stage.id}.${act}${stage.rounds > 1 ? round : ''}`,
        act,
        corner: corner.position,
        stageId: stage.id,
        ...textOf(act, stage, where, shown, round, brushRinse),
        zones: shown,
        tools: toolsFor(act, shown, stage),
        operatorSeconds: secondsOfAct(act, stage.kind, corner, job),
        startsDwell:
          act === 'spray' ? { minSeconds: stage.dwellSeconds.min, maxSeconds: stage.dwellSeconds.max } : null,
        stopsDwellOf: null,
        wetLimitSeconds: timing?.wetLimitSeconds ?? null,
        part: null,
        cautions: act === 'spray' ? stage.cautions : [],
      })
    }
    const last = shared.at(-1) as Stage
    const all = [...new Set(shared.flatMap(zonesOf))]
    steps.push({
      id: `${corner.position}.${last.id}.rinse`,
      act: 'rinse',
      corner: corner.position,
      stageId: last.id,
      ...sharedRinseText(where, all),
      zones: all,
      tools: [],
      operatorSeconds: secondsOfAct('rinse', last.kind, corner, job),
      startsDwell: null,
      stopsDwellOf: last.id,
      alsoStops: shared.slice(0, -1).map(({ id }) => id),
      wetLimitSeconds: null,
      part: null,
      cautions: [],
    })
  }

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

  steps.push(
    jobStep(
      job,
      'lookRound',
      'Look round every wheel',
      'Damage, finishes, soil, old protection. Photograph.',
      'Everything after follows from this look.',
    ),
    jobStep(
      job,
      'coolCheck',
      'Cool and in the shade?',
      'Every wheel cool to the touch before anything wet.',
      'Heat dries the chemical and stains.',
      [stepCautions.hot],
    ),
    jobStep(
      job,
      'getReady',
      'Gloves, glasses, bottles',
      `Bottles mixed and labelled, hose guides under the tyres. ${bodyWords[job.schools.wheelsOrder]}`,
      'No walking back with chemistry on a wheel.',
      [stepCautions.lance, stepCautions.neverMix, stepCautions.label],
    ),
  )
  if (service.wheelsOff) {
    steps.push({
      ...jobStep(
        job,
        'getReady',
        'Lift and take the wheels off',
        'Park level, chock, loosen the nuts on the ground, lift at the maker’s points, stands under it.',
        'Barrels, hubs and arches are reached from behind.',
        [stepCautions.jack],
      ),
      id: 'wheelsOff',
      operatorSeconds: liftSeconds(job),
    })
  }
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
      if (pass.acts.length > 0) addPass(pass, corner)
      else if (only) addStage(only, corner)
    }
    // On the wet wheel, and before anything seals in what stayed.
    if (cleaning.length > 0) lookAgainAt(corner)
    for (const stage of at(corner, ['protect']).filter(onWet)) addStage(stage, corner)
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
        tools: toolsFor('dry', [], null),
        operatorSeconds: dryingSeconds(corner, job),
      })
    for (const stage of at(corner, ['protect']).filter((stage) => !onWet(stage))) addStage(stage, corner)
    for (const stage of at(corner, ['dress'])) addStage(stage, corner)
  }
  if (job.schools.wheelsOrder === 'between' && job.vehicleKind !== 'looseSet' && service.water) {
    const sides = [
      ['bodyFoam', 'Foam the body', 'From the roof down, wheels left out.'],
      ['bodyLeft', 'Wash the left side', 'Roof half first, sills last; the mitt of the paint.'],
      ['bodyRight', 'Wash the right side', 'Roof half first, sills last; the mitt of the paint.'],
      ['bodyRinse', 'Rinse the body', 'From the roof down, gaps and mirrors.'],
    ] as const
    for (const [id, title, detail] of sides)
      steps.push({
        ...jobStep(job, 'body', title, detail, 'It fills the time while chemistry dwells on the wheels.'),
        id,
      })
  }
  if (job.vehicleKind !== 'looseSet' && service.water) {
    steps.push(
      jobStep(
        job,
        'brakes',
        'Dry the discs',
        'Drive a few metres forward and back, brake gently.',
        'Light rust after water goes with the first stops.',
        [stepCautions.brakes],
      ),
    )
  }
  if (service.wheelsOff) {
    steps.push({
      ...jobStep(
        job,
        'getReady',
        'Refit and tighten',
        'By hand in a star, lower, then the torque wrench to the maker’s figure. Check again after 50 to 100 km.',
        'A wheel that is not tightened comes off.',
        [stepCautions.torque],
      ),
      id: 'wheelsOn',
      operatorSeconds: liftSeconds(job),
    })
  }
  steps.push(
    jobStep(
      job,
      'writeDown',
      'Write down how it went',
      'What stayed, what you would do otherwise.',
      'Next time starts from here.',
    ),
  )

  return steps
}
