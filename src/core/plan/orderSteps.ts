import { reachableZones } from '@/core/choice/wheelGroup'
import { familyOf } from '@/core/chemistry/families'
import type { Corner, Job } from '@/core/job/job'
import { services } from '@/core/services/service'
import { inWalkingOrder, positionNames, type Position } from '@/core/wheel/position'
import { zoneNames, type Zone } from '@/core/wheel/zone'
import { stepCautions } from './cautions'
import { actsOfStage, secondsOfAct, secondsOfJobAct } from './operatorTime'
import type { Act, Stage, StageKind, Step } from './plan'

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

const namesOf = (zones: readonly Zone[]): string => zones.map((zone) => zoneNames[zone]).join(', ')

interface ActText {
  readonly title: string
  readonly detail: string
  readonly why: string
}

function textOf(
  act: Act,
  stage: Stage,
  where: string,
  zones: readonly Zone[],
  round: number,
  brushRinse: string,
): ActText {
  const rounds = stage.rounds > 1 ? ` (round ${round} of ${stage.rounds})` : ''
  switch (act) {
    case 'spray':
      if (stage.delivery === 'bucket') {
        return {
          title: `Wet ${where} with ${stage.productName}`,
          detail: 'From the bucket, water first and then soap; soak every zone.',
          why: 'Suds carry the dirt off instead of rubbing it in.',
        }
      }
      return {
        title: `Spray ${where} with ${stage.productName}${rounds}`,
        detail: `Cover evenly: ${namesOf(zones)}. Keep it wet.`,
        why: 'Missed areas clean unevenly; a product that dries stains.',
      }
    case 'scrub':
      return stage.kind === 'arch'
        ? {
            title: `Scrub arch, ${where}`,
            detail: 'Long brush, top first.',
            why: 'It drips on everything below, so it comes first.',
          }
        : {
            title: `Scrub tyre, ${where}${rounds}`,
            detail: 'A quarter at a time. Brown foam means again, white foam means done.',
            why: 'Strip it bare or the dressing will not take.',
          }
    case 'agitate':
      return {
        title: `Brush ${where}, barrel first`,
        detail: `Back to front, top to bottom: ${namesOf(zones)}. ${brushRinse}`,
        why:
          stage.kind === 'iron'
            ? 'Wait for the violet to darken, then move it on.'
            : 'Dirt runs from back to front.',
      }
    case 'wipe':
      if (stage.kind === 'waterless') {
        return {
          title: `Lift the dust off ${where}`,
          detail: 'Folded damp cloth, rolling motion, turn it often; buff with a second, dry one.',
          why: 'Dust is lifted, never rubbed.',
        }
      }
      return {
        title: `Wipe tar off ${where}`,
        detail: 'Soften, then lift with a fresh side of the towel.',
        why: 'Rubbing a hard lump scratches.',
      }
    case 'dry':
      return {
        title: `Dry ${where}`,
        detail:
          stage.kind === 'tar'
            ? 'Solvent works only on a dry wheel.'
            : 'Lug holes, behind the spokes and the valve first.',
        why: 'Water left in a gap runs out over the finished work.',
      }
    case 'protect':
      return {
        title: `${stage.productName} on ${where}`,
        detail: 'Thin and even, keep it off disc and pads.',
        why: 'The next wash is easy because of this one.',
      }
    case 'dress':
      return {
        title: `Dress tyre, ${where}`,
        detail: 'Dry tyre, thin coat, primed applicator, quarter by quarter. Wipe smears at once.',
        why: 'Thin and dry does not sling.',
      }
    default:
      return {
        title: `Rinse ${where}`,
        detail:
          stage.kind === 'arch'
            ? 'Arch, top to bottom.'
            : `Even passes, plenty of water: ${namesOf(zones)}, arch edge.`,
        why: 'Rushed rinsing leaves residue that stains and keeps protection from bonding.',
      }
  }
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
  operatorSeconds: secondsOfJobAct(act, job.estimates),
  startsDwell: null,
  stopsDwellOf: null,
  why,
  cautions,
})

/**
 * The steps of a visit in the plain order: every wheel finished before the next, so that nothing can dry while another is worked,
 * then drying, protection and dressing all round.
 */
export function orderSteps(job: Job, stages: readonly Stage[], startsDry: readonly Position[] = []): Step[] {
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

  const addStage = (stage: Stage, corner: Corner) => {
    const where = positionNames[corner.position].toLowerCase()
    const reachable = reachableZones(corner, job)
    const zones = stage.zones.filter((zone) => zone === 'arch' || zone === 'tyre' || reachable.includes(zone))
    const family = familyOf(stage.family)
    // The clock runs from the first spray to the rinse; a wash from the bucket has nothing that dwells dry.
    const dwells = stage.kind !== 'protect' && stage.kind !== 'dress' && stage.kind !== 'waterless'
    // Rubber and liners are scrubbed in rounds and rinsed once at the end.
    const rinsedOnce = stage.kind === 'tyre' || stage.kind === 'arch'
    let round = 0
    for (const act of actsOfStage(stage.kind, stage.rounds)) {
      if (act === 'spray' || (act === 'dry' && stage.kind === 'tar'))
        round = act === 'spray' && stage.kind === 'tar' ? round : round + 1
      const contact = contactZones.filter((zone) => zones.includes(zone))
      const shown = act === 'agitate' ? contact : zones
      const wetProtect = act === 'protect' && family.purpose === 'protect' && family.onWet
      steps.push({
        id: `${corner.position}.${stage.id}.${act}${stage.rounds > 1 && !(act === 'rinse' && rinsedOnce) ? round : ''}`,
        act,
        corner: corner.position,
        stageId: stage.id,
        ...textOf(act, stage, where, shown, round, brushRinse),
        zones: shown,
        tools: toolsFor(act, act === 'scrub' ? zones : contact, stage),
        operatorSeconds: secondsOfAct(act, corner.wheel, job.estimates),
        startsDwell:
          (act === 'spray' && dwells) || wetProtect
            ? { minSeconds: stage.dwellSeconds.min, maxSeconds: stage.dwellSeconds.max }
            : null,
        stopsDwellOf: act === 'rinse' ? stage.id : null,
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
          operatorSeconds: secondsOfAct('rinse', corner.wheel, job.estimates),
          startsDwell: null,
          stopsDwellOf: stage.id,
          why: 'Left standing, silica dries to streaks.',
          cautions: [],
        })
      }
    }
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
      `Bottles mixed and labelled, hose guides under the tyres. ${job.schools.wheelsOrder === 'first' ? 'Wheels come before the body wash.' : 'The body is washed first; rinse it again after the wheels.'}`,
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
      })
    for (const stage of mine) addStage(stage, corner)
    for (const stage of at(corner, ['protect']).filter(onWet)) addStage(stage, corner)
  }
  steps.push(
    jobStep(
      job,
      'lookAgain',
      'Look again, wet and then dry',
      'Spoke backs, behind the caliper, valve, lug seats, arch top.',
      'Missed spots show when dry, and are harder then.',
    ),
  )
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
        operatorSeconds: secondsOfAct('dry', corner.wheel, job.estimates),
      })
    for (const stage of at(corner, ['protect']).filter((stage) => !onWet(stage))) addStage(stage, corner)
    for (const stage of at(corner, ['dress'])) addStage(stage, corner)
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
