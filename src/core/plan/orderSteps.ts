import { familyOf } from '@/core/chemistry/families'
import type { Corner, Job } from '@/core/job/job'
import { pickTool } from '@/core/tools/pickTool'
import { spokeGapMillimetres } from '@/core/wheel-geometry'
import { millimetresPerInch } from '@/core/tyre/tyreCode'
import { inWalkingOrder, positionNames, type Position } from '@/core/wheel/position'
import { zoneNames, type Zone } from '@/core/wheel/zone'
import { stepCautions } from './cautions'
import { actSeconds } from './estimates'
import { actsOfStage, secondsOfAct } from './operatorTime'
import type { Act, Shortfall, Stage, StageKind, Step } from './plan'

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

const gapOf = ({ wheel }: Corner): number =>
  spokeGapMillimetres(
    wheel.spokeCount,
    wheel.spokeWidthMillimetres,
    wheel.tyre.rimDiameterInches * millimetresPerInch,
  )

/** A closed wheel has no way in from the front. */
const reachable = (corner: Corner, zones: readonly Zone[]): readonly Zone[] =>
  corner.wheel.spokeCount > 0
    ? zones
    : zones.filter((zone) => !['barrel', 'spokeBacks', 'windows', 'caliper'].includes(zone))

const namesOf = (zones: readonly Zone[]): string => zones.map((zone) => zoneNames[zone]).join(', ')

interface ActText {
  readonly title: string
  readonly detail: string
  readonly why: string
}

function textOf(act: Act, stage: Stage, where: string, zones: readonly Zone[], round: number): ActText {
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
        detail: `Back to front, top to bottom: ${namesOf(zones)}. Rinse the brush often.`,
        why:
          stage.kind === 'iron'
            ? 'Wait for the violet to darken, then move it on.'
            : 'Dirt runs from back to front.',
      }
    case 'wipe':
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
  operatorSeconds: actSeconds[act].value,
  startsDwell: null,
  stopsDwellOf: null,
  why,
  cautions,
})

interface OrderedSteps {
  readonly steps: Step[]
  readonly shortfalls: Shortfall[]
}

/**
 * The steps of a visit in the plain order: every wheel finished before the next, so that nothing can dry while another is worked,
 * then drying, protection and dressing all round.
 */
export function orderSteps(job: Job, stages: readonly Stage[]): OrderedSteps {
  const unreached = new Map<Zone, Position[]>()
  const steps: Step[] = []

  const toolsFor = (act: Act, corner: Corner, zones: readonly Zone[], kind: StageKind): string[] => {
    if (act === 'dress')
      return job.tools
        .filter((tool) => tool.kind === 'applicator' && tool.state === 'clean')
        .slice(0, 1)
        .map(({ name }) => name)
    if (act === 'dry' || act === 'wipe') {
      const kinds = act === 'dry' && job.schools.drying === 'air' ? ['blower', 'towel'] : ['towel']
      return kinds.flatMap((name) =>
        job.tools
          .filter((tool) => tool.kind === name && tool.state === 'clean')
          .slice(0, 1)
          .map((tool) => tool.name),
      )
    }
    if (act !== 'agitate' && act !== 'scrub') return []
    const names = new Set<string>()
    for (const zone of act === 'scrub' ? ([kind === 'arch' ? 'arch' : 'tyre'] as const) : zones) {
      const tool = pickTool(zone, job.tools, gapOf(corner))
      if (tool) names.add(tool.name)
      else if (!unreached.get(zone)?.includes(corner.position)) {
        unreached.set(zone, [...(unreached.get(zone) ?? []), corner.position])
      }
    }
    return [...names]
  }

  const addStage = (stage: Stage, corner: Corner) => {
    const where = positionNames[corner.position].toLowerCase()
    const zones = reachable(corner, stage.zones)
    const family = familyOf(stage.family)
    // The clock runs from the first spray to the rinse; a wash from the bucket has nothing that dwells dry.
    const dwells = stage.kind !== 'protect' && stage.kind !== 'dress'
    let round = 0
    for (const act of actsOfStage(stage.kind, stage.rounds)) {
      if (act === 'spray') round += 1
      const contact = contactZones.filter((zone) => zones.includes(zone))
      const shown = act === 'agitate' ? contact : zones
      const wetProtect = act === 'protect' && family.purpose === 'protect' && family.onWet
      steps.push({
        id: `${corner.position}.${stage.id}.${act}${stage.rounds > 1 && act !== 'rinse' ? round : ''}`,
        act,
        corner: corner.position,
        stageId: stage.id,
        ...textOf(act, stage, where, shown, round),
        zones: shown,
        tools: toolsFor(act, corner, contact, stage.kind),
        operatorSeconds: secondsOfAct(act, corner.wheel),
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
          operatorSeconds: secondsOfAct('rinse', corner.wheel),
          startsDwell: null,
          stopsDwellOf: stage.id,
          why: 'Left standing, silica dries to streaks.',
          cautions: [],
        })
      }
    }
  }

  const corners = inWalkingOrder(job.corners)
  const at = (corner: Corner, kinds: readonly StageKind[]) =>
    stages.filter((stage) => kinds.includes(stage.kind) && stage.corners.includes(corner.position))
  const onWet = (stage: Stage) => {
    const family = familyOf(stage.family)
    return family.purpose === 'protect' && family.onWet
  }
  const cleaning: readonly StageKind[] = ['arch', 'tyre', 'wash', 'iron', 'mineral', 'tar']

  steps.push(
    jobStep(
      'lookRound',
      'Look round every wheel',
      'Damage, finishes, soil, old protection. Photograph.',
      'Everything after follows from this look.',
    ),
    jobStep(
      'coolCheck',
      'Cool and in the shade?',
      'Every wheel cool to the touch before anything wet.',
      'Heat dries the chemical and stains.',
      [stepCautions.hot],
    ),
    jobStep(
      'getReady',
      'Gloves, glasses, bottles',
      'Bottles mixed and labelled, hose guides under the tyres.',
      'No walking back with chemistry on a wheel.',
      [stepCautions.lance, stepCautions.neverMix, stepCautions.label],
    ),
  )
  for (const corner of corners) {
    steps.push({
      ...jobStep(
        'preRinse',
        `Knock-down rinse, ${positionNames[corner.position].toLowerCase()}`,
        'Arch, barrel, face, tyre.',
        'Grit goes before anything touches the wheel.',
        [stepCautions.lance],
      ),
      id: `${corner.position}.preRinse`,
      corner: corner.position,
      zones: reachable(corner, ['arch', 'barrel', 'face', 'tyre']),
    })
    for (const stage of at(corner, cleaning)) addStage(stage, corner)
    for (const stage of at(corner, ['protect']).filter(onWet)) addStage(stage, corner)
  }
  steps.push(
    jobStep(
      'lookAgain',
      'Look again, wet and then dry',
      'Spoke backs, behind the caliper, valve, lug seats, arch top.',
      'Missed spots show when dry, and are harder then.',
    ),
  )
  for (const corner of corners) {
    steps.push({
      ...jobStep(
        'dry',
        `Dry ${positionNames[corner.position].toLowerCase()}`,
        'Lug holes, behind the spokes and the valve first.',
        'Moisture under a sealant spoils it.',
      ),
      id: `${corner.position}.dry`,
      corner: corner.position,
      zones: reachable(corner, contactZones),
      tools: toolsFor('dry', corner, [], 'protect'),
      operatorSeconds: secondsOfAct('dry', corner.wheel),
    })
    for (const stage of at(corner, ['protect']).filter((stage) => !onWet(stage))) addStage(stage, corner)
    for (const stage of at(corner, ['dress'])) addStage(stage, corner)
  }
  if (job.vehicleKind !== 'looseSet') {
    steps.push(
      jobStep(
        'brakes',
        'Dry the discs',
        'Drive a few metres forward and back, brake gently.',
        'Light rust after water goes with the first stops.',
        [stepCautions.brakes],
      ),
    )
  }
  steps.push(
    jobStep(
      'writeDown',
      'Write down how it went',
      'What stayed, what you would do otherwise.',
      'Next time starts from here.',
    ),
  )

  return {
    steps,
    shortfalls: [...unreached].map(([zone, at]) => ({
      corners: at,
      text: `No clean tool in the kit reaches the ${zoneNames[zone]}.`,
      mend: `Add a softer or thinner tool; the gap between the spokes is about ${Math.round(gapOf(corners.find(({ position }) => position === at[0]) ?? corners[0]!))} mm.`,
    })),
  }
}
