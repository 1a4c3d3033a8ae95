import type { GroupChoice } from '@/core/choice/chooseForGroup'
import { wheelSoils, type WheelSoil } from '@/core/choice/need'
import type { Option } from '@/core/choice/option'
import { sitesOf } from '@/core/choice/sites'
import type { WheelGroup } from '@/core/choice/wheelGroup'
import { familyOf } from '@/core/chemistry/families'
import { ratingOf, type Product } from '@/core/chemistry/product'
import { isPlannable } from '@/core/choice/candidates'
import type { Job } from '@/core/job/job'
import { hasCloth } from '@/core/reachability/means'
import { depthOf } from '@/core/reachability/depth'
import { gapOf } from '@/core/reachability/gap'
import { fitsBut, longestTooShort, type ToolSite } from '@/core/reachability/pickTool'
import { carriesDirt } from '@/core/reachability/pickTools'
import { showsEveryTouch } from '@/core/finishes/finish'
import { judgePlaces, rulesAbout, surfaceOf } from '@/core/rules/judge'
import { soilNames } from '@/core/soils/soil'
import { services } from '@/core/visit-kinds/service'
import { whenItGoes } from '@/core/timing/heat'
import { usualDuty, type Tool } from '@/core/tools/tool'
import { zoneNames, type Zone } from '@/core/wheel/zone'
import { listed } from './listed'

/** What stays undone, and what would help. */
export type Said = readonly [text: string, mend: string]

/** Products the person ruled out that would take a soil of a group, the best first. */
const ruledOut = ({ group }: GroupChoice, soil: WheelSoil, job: Job): Product[] =>
  job.cabinet
    .filter(
      (product) =>
        job.wishes.forbidden.includes(product.id) &&
        !product.archived &&
        ratingOf(product, soil) > 1 &&
        judgePlaces(rulesAbout({ product }), sitesOf(group, job)).verdict !== 'no',
    )
    .sort((a, b) => ratingOf(b, soil) - ratingOf(a, soil))

/** What only a cloth takes off a dry wheel, the best for a soil first; empty where the kit has one. */
const lacksCloth = (soil: WheelSoil, job: Job): Product[] =>
  hasCloth(job)
    ? []
    : job.cabinet
        .filter((product) => {
          const family = familyOf(product.family)
          return (
            isPlannable(product, job) &&
            family.purpose === 'clean' &&
            family.needsDry &&
            ratingOf(product, soil) > 1
          )
        })
        .sort((a, b) => ratingOf(b, soil) - ratingOf(a, soil))

/** Where nothing may be used at all. */
export function sayNothingAllowed(choice: GroupChoice, job: Job): Said {
  if (!services[job.service].water && !hasCloth(job))
    return [
      'There is no clean towel in the kit, and without water every drop is wiped off.',
      'Add two clean towels to the kit, one damp and one dry for each wheel.',
    ]
  const refused = choice.options[0]?.judgement.rules[0]
  const out = wheelSoils.flatMap((soil) => ruledOut(choice, soil, job))[0]
  if (out && choice.options.every(({ judgement }) => judgement.verdict === 'no'))
    return [
      'What you left in the cabinet may not be used on these wheels.',
      `You ruled out ${out.name}, which may; allow it again or take the wheels out.`,
    ]
  const later = refused && whenItGoes(refused.id, choice.group.corners, job).trim()
  const way =
    later ||
    (services[job.service].water
      ? 'Add a cleaner for wheels to the cabinet; a wheel shampoo suits nearly every finish.'
      : 'Plan a maintenance visit, with water.')
  return [
    'Nothing in the cabinet may be used on these wheels as they are.',
    [refused?.reason, way].filter(Boolean).join(' '),
  ]
}

/** Soils that another wash takes; the others need a product of their own. */
const washedOff: readonly WheelSoil[] = ['film', 'freshDust', 'organic']

/**
 * A soil that stays: by a wish, by a rule, or because the cabinet has nothing for it.
 * @param used what the plan uses on these wheels
 */
export function sayUnreached(choice: GroupChoice, soil: WheelSoil, job: Job, used: readonly Option[]): Said {
  const at = wheelSoils.indexOf(soil)
  const able = choice.options.filter(({ removes }) => (removes[at] ?? 0) > 0)
  const allowed = able.filter(({ judgement }) => judgement.verdict !== 'no')
  const [strongest] = [...allowed].sort((a, b) => (b.removes[at] ?? 0) - (a.removes[at] ?? 0))
  const [out] = ruledOut(choice, soil, job)
  const best = strongest ? ratingOf(strongest.product, soil) : 0
  if (out && ratingOf(out, soil) > best)
    return [
      `Not all of the ${soilNames[soil]} will come off without ${out.name}.`,
      `You ruled ${out.name} out; allow it again, or leave that for another visit.`,
    ]
  const [wiped] = lacksCloth(soil, job)
  if (wiped && ratingOf(wiped, soil) > best)
    return [
      `Not all of the ${soilNames[soil]} will come off without a clean towel.`,
      `${wiped.name} works on a dry wheel and is wiped off; add a towel to the kit that is kept for it.`,
    ]
  if (choice.staysMild && strongest && washedOff.includes(soil))
    return [
      'One wash may not take all of it off bare metal.',
      'Look at the wet wheel and wash again where something stayed: bare metal gets soap and time, nothing stronger.',
    ]
  if (strongest)
    return [
      `Not all of the ${soilNames[soil]} will come off with this cabinet.`,
      used.some(({ product }) => product.id === strongest.product.id)
        ? `${strongest.product.name} is the best for it here; a higher rating for ${soilNames[soil]} is missing, or a second visit.`
        : `${strongest.product.name} would take more of it and asks more of the wheel; pin it, or plan a second visit.`,
    ]
  const barred = able[0]
  return [
    `Not all of the ${soilNames[soil]} will come off with this cabinet.`,
    barred
      ? `${barred.product.name} would take it, but: ${barred.judgement.rules[0]?.reason} ${wayPast(barred, soil, choice, job)}`
      : `Nothing in it is rated for ${soilNames[soil]}; add a product that is.`,
  ]
}

/** What helps where a rule keeps the only product for a soil from the wheel. */
function wayPast({ judgement }: Option, soil: WheelSoil, { group }: GroupChoice, job: Job): string {
  const [rule] = judgement.rules
  const later = rule && whenItGoes(rule.id, group.corners, job).trim()
  if (later) return later
  if (rule?.school) return 'Allow it in the settings, or leave it on.'
  if (rule?.inRain) return 'Work under a roof, or leave it for a dry day.'
  return `Leave it on, or add a product for ${soilNames[soil]} that this finish can stand.`
}

/** What is wrong with a tool that would fit, with the mend. */
function toolMend(tool: Tool): string {
  if (tool.state === 'dropped') return `${tool.name} was dropped: wash it, look it over and mark it clean.`
  if (tool.state === 'worn') return `${tool.name} is worn: replace it.`
  return `${tool.name} is kept for the ${tool.dedicatedTo}; a ${usualDuty(tool.kind)} wants one of its own, or wash this one and keep it for that.`
}

/** No brush is thinner, mm. */
const thinnestMillimetres = 4
/** Through a wider gap any brush goes, mm. House estimate. */
const wideMillimetres = 60

/**
 * Zones that no tool of the kit serves.
 * @param reached how some cleaner gets there and is rinsed off again; null where none does
 */
export function sayNoTool(
  zones: readonly Zone[],
  job: Job,
  site: ToolSite,
  reached: 'sprayed' | 'soaked' | null = null,
): Said {
  const spare = zones.flatMap((zone) => fitsBut(zone, job.tools, site))[0]
  const short = zones[0] && longestTooShort(zones[0], job.tools, site)
  const soft = ['glossBlack', 'matte', 'filmWrapped', 'polishedBare'].includes(site.surface?.finish ?? '')
  const them = zones.length > 1 || zones.includes('windows') || zones.includes('spokeBacks') ? 'them' : 'it'
  const isBehind = zones.some((zone) => zone === 'barrel' || zone === 'spokeBacks')
  const gap = site.gapMillimetres
  const isGapTheReason =
    gap < wideMillimetres || job.tools.some(({ squeezedMillimetres }) => squeezedMillimetres > gap)
  const add =
    isBehind && gap < thinnestMillimetres
      ? 'With the wheel on only spray gets there; a deep clean with the wheel off takes it.'
      : isBehind && Number.isFinite(gap) && isGapTheReason
        ? `The gap between the spokes is about ${Math.round(gap)} mm; a soft brush or wand that squeezes to ${Math.max(4, Math.floor(gap * 0.8))} mm would reach it.`
        : zones.every((zone) => zone === 'tyre' || zone === 'arch')
          ? `Add a brush for ${them} to the kit.`
          : `Add a soft, clean tool for ${them}${soft ? '; this finish takes soft media only' : ''}.`
  return [
    `No clean tool in the kit works the ${listed(zones.map((zone) => zoneNames[zone]))}: ${reached ? `${them === 'it' ? 'it is' : 'they are'} only ${reached} and rinsed, and some dirt will stay there` : 'dirt will stay there'}.`,
    spare
      ? toolMend(spare)
      : short
        ? `${short.name} reaches ${Math.round(short.reachMillimetres)} mm; about ${Math.ceil(site.depthMillimetres / 10) * 10} mm are wanted there.`
        : add,
  ]
}

/** One tool for what is behind the face and for a face that shows every touch. */
export function sayCarried({ tools, corners }: WheelGroup): Said | null {
  const [tool] = carriesDirt(tools)
  const isSeen = corners.some(({ finishes: { face } }) => face && showsEveryTouch(face.finish))
  return tool && isSeen
    ? [
        `The ${tool.name} works behind the spokes and on the face, which shows every touch.`,
        `Wash it out in clean water before each face, or add a second soft one for faces only.`,
      ]
    : null
}

/** Zones of a group that nothing in the kit reaches. */
export function sayUnworked(group: WheelGroup, job: Job, reached: 'sprayed' | 'soaked' | null): Said | null {
  const zones = [...group.tools].filter(([, tool]) => tool === null).map(([zone]) => zone)
  const [corner] = group.corners
  const [first] = zones
  if (!corner || !first) return null
  const site = {
    gapMillimetres: gapOf(corner, job),
    depthMillimetres: depthOf(first, corner, job),
    surface: surfaceOf(first, corner.finishes),
    liner: job.archLiner,
    schools: job.schools,
    vehicleKind: job.vehicleKind,
  }
  return sayNoTool(zones, job, site, reached)
}
