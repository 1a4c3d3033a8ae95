import { message, sentences, type Message, type Said } from '@/core/message/message'
import { term, terms } from '@/core/message/term'
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
import { services } from '@/core/visit-kinds/service'
import { whenItGoes } from '@/core/timing/heat'
import type { Tool } from '@/core/tools/tool'
import type { Zone } from '@/core/wheel/zone'

/** What stays undone, and what would help. */
export type Undone = readonly [text: Said, fix: Said]

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
export function sayNothingAllowed(choice: GroupChoice, job: Job): Undone {
  if (!services[job.service].water && !hasCloth(job))
    return [message('reasons.shortfall.noTowelWaterless'), message('reasons.shortfall.addWaterlessTowels')]
  const refused = choice.options[0]?.judgement.rules[0]
  const out = wheelSoils.flatMap((soil) => ruledOut(choice, soil, job))[0]
  if (out && choice.options.every(({ judgement }) => judgement.verdict === 'no'))
    return [
      message('reasons.shortfall.restNotAllowed'),
      message('reasons.shortfall.allowAgain', { product: out.name }),
    ]
  const later = refused && whenItGoes(refused.id, choice.group.corners, job)
  const way =
    later ||
    (services[job.service].water
      ? message('reasons.shortfall.addCleaner')
      : message('reasons.shortfall.planWater'))
  return [message('reasons.shortfall.nothingSafe'), sentences(refused?.reason, way)]
}

/** Soils that another wash takes; the others need a product of their own. */
const washedOff: readonly WheelSoil[] = ['film', 'freshDust', 'organic']

/**
 * A soil that stays: by a wish, by a rule, or because the cabinet has nothing for it.
 * @param used what the plan uses on these wheels
 */
export function sayUnreached(
  choice: GroupChoice,
  soil: WheelSoil,
  job: Job,
  used: readonly Option[],
): Undone {
  const at = wheelSoils.indexOf(soil)
  const able = choice.options.filter(({ removes }) => (removes[at] ?? 0) > 0)
  const allowed = able.filter(({ judgement }) => judgement.verdict !== 'no')
  const [strongest] = [...allowed].sort((a, b) => (b.removes[at] ?? 0) - (a.removes[at] ?? 0))
  const [out] = ruledOut(choice, soil, job)
  const best = strongest ? ratingOf(strongest.product, soil) : 0
  if (out && ratingOf(out, soil) > best)
    return [
      message('reasons.shortfall.without', { soil: term('soil', soil), product: out.name }),
      message('reasons.shortfall.ruledOut', { product: out.name }),
    ]
  const [wiped] = lacksCloth(soil, job)
  if (wiped && ratingOf(wiped, soil) > best)
    return [
      message('reasons.shortfall.withoutTowel', { soil: term('soil', soil) }),
      message('reasons.shortfall.needsTowel', { product: wiped.name }),
    ]
  if (choice.staysMild && strongest && washedOff.includes(soil))
    return [message('reasons.shortfall.oneWash'), message('reasons.shortfall.washAgain')]
  if (strongest)
    return [
      message('reasons.shortfall.notAll', { soil: term('soil', soil) }),
      used.some(({ product }) => product.id === strongest.product.id)
        ? message('reasons.shortfall.bestHere', { product: strongest.product.name, soil: term('soil', soil) })
        : message('reasons.shortfall.wouldMore', { product: strongest.product.name }),
    ]
  const barred = able[0]
  return [
    message('reasons.shortfall.notAll', { soil: term('soil', soil) }),
    barred
      ? sentences(
          message('reasons.shortfall.would', {
            product: barred.product.name,
            reason: barred.judgement.rules[0]?.reason ?? '',
          }),
          wayPast(barred, soil, choice, job),
        )
      : message('reasons.shortfall.noneRated', { soil: term('soil', soil) }),
  ]
}

/** What helps where a rule keeps the only product for a soil from the wheel. */
function wayPast({ judgement }: Option, soil: WheelSoil, { group }: GroupChoice, job: Job): Message {
  const [rule] = judgement.rules
  const later = rule && whenItGoes(rule.id, group.corners, job)
  if (later) return later
  if (rule?.method) return message('reasons.shortfall.bySetting')
  if (rule?.inRain) return message('reasons.shortfall.byRain')
  return message('reasons.shortfall.leaveOn', { soil: term('soil', soil) })
}

const keptFor = {
  wheel: 'reasons.shortfall.keptForWheel',
  tyre: 'reasons.shortfall.keptForTyre',
  arch: 'reasons.shortfall.keptForArch',
  paint: 'reasons.shortfall.keptForPaint',
} as const

/** What is wrong with a tool that would fit, with the fix. */
function toolMend({ name: tool, state, dedicatedTo }: Tool, zone: Zone): Message {
  if (state === 'dropped') return message('reasons.shortfall.dropped', { tool })
  if (state === 'worn') return message('reasons.shortfall.worn', { tool })
  return message(keptFor[dedicatedTo], { tool, zone: term('zone', zone) })
}

/** No brush is thinner, mm. */
const thinnestMillimetres = 4
/** Through a wider gap any brush goes, mm. House estimate. */
const wideMillimetres = 60

/** What to add to the kit for zones that nothing in it serves. */
function whatToAdd(zones: readonly Zone[], job: Job, { gapMillimetres, surface }: ToolSite): Message {
  const isBehind = zones.some((zone) => zone === 'barrel' || zone === 'spokeBacks')
  const isGapTheReason =
    gapMillimetres < wideMillimetres ||
    job.tools.some(({ squeezedMillimetres }) => squeezedMillimetres > gapMillimetres)
  if (isBehind && gapMillimetres < thinnestMillimetres) return message('reasons.shortfall.onlySpray')
  if (isBehind && Number.isFinite(gapMillimetres) && isGapTheReason)
    return message('reasons.shortfall.gap', {
      gap: { millimetres: gapMillimetres },
      brush: { millimetres: Math.max(thinnestMillimetres, Math.floor(gapMillimetres * 0.8)) },
    })
  if (zones.every((zone) => zone === 'tyre' || zone === 'arch')) return message('reasons.shortfall.addBrush')
  return surface && showsEveryTouch(surface.finish)
    ? message('reasons.shortfall.addSofterTool')
    : message('reasons.shortfall.addSoftTool')
}

/** That nothing clean in the kit gets to some zones, and what becomes of the dirt there. */
function sayOutOfReach(zones: readonly Zone[], reached: 'sprayed' | 'soaked' | null): Message {
  const names = terms('zone', zones)
  if (reached === null) return message('reasons.shortfall.noTool', { zones: names })
  return reached === 'sprayed'
    ? message('reasons.shortfall.noToolSprayed', { zones: names })
    : message('reasons.shortfall.noToolSoaked', { zones: names })
}

/**
 * Zones that no tool of the kit serves.
 * @param reached how some cleaner gets there and is rinsed off again; null where none does
 */
export function sayNoTool(
  zones: readonly Zone[],
  job: Job,
  site: ToolSite,
  reached: 'sprayed' | 'soaked' | null = null,
): Undone {
  const [spare] = zones.flatMap((zone) => fitsBut(zone, job.tools, site).map((tool) => ({ tool, zone })))
  const short = zones[0] && longestTooShort(zones[0], job.tools, site)
  const text = sayOutOfReach(zones, reached)
  if (spare) return [text, toolMend(spare.tool, spare.zone)]
  if (!short) return [text, whatToAdd(zones, job, site)]
  return [
    text,
    message('reasons.shortfall.tooShort', {
      tool: short.name,
      reach: { millimetres: short.reachMillimetres },
      depth: { millimetres: Math.ceil(site.depthMillimetres / 10) * 10 },
    }),
  ]
}

/** One tool for what is behind the face and for a face that shows every touch. */
export function sayCarried({ tools, corners }: WheelGroup): Undone | null {
  const [tool] = carriesDirt(tools)
  const isSeen = corners.some(({ finishes: { face } }) => face && showsEveryTouch(face.finish))
  return tool && isSeen
    ? [message('reasons.shortfall.carried', { tool: tool.name }), message('reasons.shortfall.carriedFix')]
    : null
}

/** Zones of a group that nothing in the kit reaches. */
export function sayUnworked(
  group: WheelGroup,
  job: Job,
  reached: 'sprayed' | 'soaked' | null,
): Undone | null {
  const zones = [...group.tools].filter(([, tool]) => tool === null).map(([zone]) => zone)
  const [corner] = group.corners
  const [first] = zones
  if (!corner || !first) return null
  const site = {
    gapMillimetres: gapOf(corner, job),
    depthMillimetres: depthOf(first, corner, job),
    surface: surfaceOf(first, corner.finishes),
    liner: job.archLiner,
    methods: job.methods,
    vehicleKind: job.vehicleKind,
  }
  return sayNoTool(zones, job, site, reached)
}
