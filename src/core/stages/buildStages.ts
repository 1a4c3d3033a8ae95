import type { GroupChoice } from '@/core/choice/chooseForGroup'
import { wheelSoils } from '@/core/choice/need'
import type { WholeChoice } from '@/core/choice/namedPlans'
import { isPlannable } from '@/core/choice/option'
import { gapOf, positionsOf, type WheelGroup } from '@/core/choice/wheelGroup'
import { familyOf } from '@/core/chemistry/families'
import { wearOf, type Product } from '@/core/chemistry/product'
import { lanceSurfaceFraction } from '@/core/dilution/foamLance'
import { mixingRecipe, type MixingRecipe } from '@/core/dilution/recipe'
import { wearShare } from '@/core/efficacy/wear'
import { surfaceCelsiusOf, type Corner, type Job } from '@/core/job/job'
import { worstGrade } from '@/core/soils/zoneLoads'
import { schoolText } from '@/core/schools/schools'
import { protectionFacts } from '@/core/protection/kinds'
import { costMinor } from '@/core/quantity/money'
import { surfaceOf, type Judgement } from '@/core/rules/judge'
import { services } from '@/core/services/service'
import { soilNames } from '@/core/soils/soil'
import { pickTool } from '@/core/reach/pickTool'
import { axleOf, inWalkingOrder, type Position } from '@/core/wheel/position'
import { wheelZones, zoneNames, type Zone } from '@/core/wheel/zone'
import { millilitresAtCorner } from '@/core/effort/amounts'
import { cautionsFor } from '@/core/words/cautions'
import { whenItGoes } from '@/core/timing/heat'
import { chooseDressing, chooseWheelProtection, type ProtectionChoice } from './chooseProtection'
import { whyStage } from '@/core/words/explain'
import { stageSeconds } from '@/core/effort/operatorTime'
import type { PlannedProtection, Shortfall, Stage, StageKind, ZoneTool } from '@/core/plan/plan'
import { chooseForRubber } from './rubberStages'
import { groupStages } from '@/core/choice/wheelStages'

interface StageDraft {
  readonly kind: StageKind
  readonly product: Product
  readonly fraction: number
  readonly dwellSeconds: { readonly min: number; readonly max: number }
  readonly zones: readonly Zone[]
  readonly tools: readonly ZoneTool[]
  readonly judgement: Judgement
  readonly why: string
  readonly care: readonly string[]
  readonly rounds: number
  readonly keptOffWheel?: boolean
  readonly corners: readonly Corner[]
}

/** The least workable recipe for an amount: raised to what the person's measure can do. */
export function workableRecipe(fraction: number, wantedMillilitres: number, measure: number): MixingRecipe {
  const rounded = Math.max(50, Math.ceil(wantedMillilitres / 50) * 50)
  const recipe = mixingRecipe(fraction, rounded, measure)
  if (recipe.ok) return recipe.value
  const least = mixingRecipe(fraction, Math.ceil(measure / fraction / 50) * 50, measure)
  if (!least.ok) throw new Error(`No workable recipe for ${fraction}`)
  return least.value
}

const isProtection = (kind: StageKind): boolean => kind === 'protect' || kind === 'dress'

function stageOf(draft: StageDraft, index: number, job: Job): Stage {
  const { product, corners, zones, rounds, fraction, kind, judgement } = draft
  const needed =
    product.delivery === 'bucket'
      ? job.equipment.bucketLitres * 1000
      : corners.reduce(
          (sum, { wheel }) =>
            sum + rounds * millilitresAtCorner(wheel, zones, product.delivery, job.estimates),
          0,
        )
  const recipe = workableRecipe(fraction, needed, job.equipment.smallestMeasureMillilitres)
  const onWheel = !isProtection(kind) && kind !== 'tyre' && kind !== 'arch'
  const use = {
    product,
    fraction,
    dwellSeconds: draft.dwellSeconds.max,
    surfaceCelsius: surfaceCelsiusOf(job),
  }
  const lost = (corner: Corner) =>
    wearShare(
      wearOf(product),
      use,
      corner.protection.filter((layer) => protectionFacts[layer].on === 'wheel'),
      job.estimates,
    )
  return {
    id: `${kind}-${index + 1}`,
    kind,
    productId: product.id,
    productName: product.name,
    family: product.family,
    corners: corners.map(({ position }) => position),
    zones,
    tools: draft.tools,
    delivery: product.delivery,
    strength: { from: fraction, to: fraction },
    recipe,
    surfaceFraction:
      product.delivery === 'lance'
        ? lanceSurfaceFraction(recipe.realFraction, job.equipment.lance)
        : recipe.realFraction,
    dwellSeconds: draft.dwellSeconds,
    rounds,
    operatorSeconds: corners.reduce(
      (sum, corner) => sum + stageSeconds(kind, rounds, corner, job, product.family),
      0,
    ),
    costMinor: costMinor(recipe.concentrateMillilitres, product.packMillilitres, product.packPriceMinor),
    verdict: judgement.verdict,
    rules: judgement.rules.map(({ id, verdict, reason, care }) => ({
      id,
      verdict,
      reason,
      ...(care === undefined ? {} : { care }),
    })),
    ...(draft.keptOffWheel ? { keptOffWheel: true } : {}),
    protectionLostShare: onWheel ? Math.min(1, rounds * Math.max(0, ...corners.map(lost))) : 0,
    why: draft.why,
    cautions: [
      ...draft.care,
      ...judgement.rules.flatMap(({ care }) => (care === undefined ? [] : [care])),
      ...cautionsFor(familyOf(product.family)),
    ],
  }
}

/** Tools of some zones, zones with the same tool together. */
function zoneTools(tools: ReadonlyMap<Zone, { readonly name: string } | null>): ZoneTool[] {
  const byTool = new Map<string | null, Zone[]>()
  for (const [zone, tool] of tools) {
    const name = tool?.name ?? null
    byTool.set(name, [...(byTool.get(name) ?? []), zone])
  }
  return [...byTool].map(([tool, zones]) => ({ tool, zones }))
}

export interface StagedJob {
  readonly stages: Stage[]
  readonly protections: PlannedProtection[]
  readonly shortfalls: Shortfall[]
  readonly schools: string[]
}

const sameUse = (a: Omit<StageDraft, 'corners'>, b: StageDraft): boolean =>
  a.kind === b.kind &&
  a.product.id === b.product.id &&
  a.fraction === b.fraction &&
  a.dwellSeconds.max === b.dwellSeconds.max &&
  a.rounds === b.rounds

/** A stage shared by two groups has the stricter of their rules. */
const joined = (
  known: StageDraft,
  draft: Omit<StageDraft, 'corners'>,
  corners: readonly Corner[],
): StageDraft => ({
  ...known,
  corners: [...known.corners, ...corners],
  zones: [...new Set([...known.zones, ...draft.zones])],
  tools: [
    ...known.tools,
    ...draft.tools.filter((one) => !known.tools.some((other) => other.tool === one.tool)),
  ],
  judgement: draft.judgement.rules.length > known.judgement.rules.length ? draft.judgement : known.judgement,
})

/** Stages of chemistry for all wheels; groups that want the same product in the same way share a stage. */
export function buildStages(job: Job, choices: readonly GroupChoice[], whole: WholeChoice): StagedJob {
  const protections: PlannedProtection[] = []
  const shortfalls = new Map<string, { corners: Position[]; text: string; mend: string }>()
  const schools = new Set<string>()
  const miss = (corners: readonly Position[], text: string, mend: string) => {
    const known = shortfalls.get(text)
    shortfalls.set(text, { corners: [...(known?.corners ?? []), ...corners], text, mend })
  }
  const add = (
    drafts: StageDraft[],
    draft: Omit<StageDraft, 'corners'>,
    corners: readonly Corner[],
    after = -1,
  ): number => {
    const same = drafts.findIndex((known, at) => at > after && sameUse(draft, known))
    const known = drafts[same]
    if (known) {
      drafts[same] = joined(known, draft, corners)
      return same
    }
    drafts.splice(after + 1, 0, { ...draft, corners: [...corners] })
    return after + 1
  }

  const rubber: Record<'tyre' | 'arch', StageDraft[]> = { tyre: [], arch: [] }
  const service = services[job.service]
  const wantsArch = (corners: readonly Corner[]): boolean =>
    service.arches === 'always' ||
    (service.arches === 'bySchool' &&
      (job.schools.arches === 'always' ||
        (['grit', 'film', 'organic'] as const).some((soil) => worstGrade(corners, ['arch'], soil) > 0)))
  if (service.arches === 'bySchool') schools.add(schoolText('arches', job.schools))
  if (service.water)
    for (const name of ['wheelsOrder', 'face', 'toolRinse', 'drying'] as const)
      schools.add(schoolText(name, job.schools))
  if (choices.some(({ bySchool }) => bySchool)) schools.add(schoolText('maintenance', job.schools))
  const axles = (['front', 'rear'] as const)
    .map((axle) => inWalkingOrder(job.corners).filter(({ position }) => axleOf(position) === axle))
    .filter((corners) => corners.length > 0)
  for (const surface of ['arch', 'tyre'] as const) {
    for (const corners of axles) {
      if (surface === 'tyre' ? !service.tyres : !wantsArch(corners)) continue
      const { stage, keepOffWheel, shortfall, school } = chooseForRubber(surface, corners, job)
      const positions = corners.map(({ position }) => position)
      if (shortfall) miss(positions, shortfall.text, shortfall.mend)
      if (school) schools.add(school)
      if (!stage) continue
      const tool = pickTool(surface, job.tools, {
        gapMillimetres: Infinity,
        surface: null,
        liner: job.archLiner,
        schools: job.schools,
        vehicleKind: job.vehicleKind,
      })
      add(
        rubber[surface],
        {
          ...stage,
          dwellSeconds: {
            min: Math.min(stage.product.dwellSeconds.min, stage.dwellSeconds),
            max: stage.labelMaxSeconds,
          },
          keptOffWheel: keepOffWheel,
          zones: [surface],
          tools: zoneTools(new Map([[surface, tool]])),
          care: [
            ...(keepOffWheel ? ['Keep it off the wheel: rinse the wheel first and again at once.'] : []),
            ...(surface === 'arch' && job.archLiner === 'fabric'
              ? ['Fabric holds mud: rinse until the water runs clear.']
              : []),
          ],
        },
        corners,
      )
    }
  }

  const wheel: StageDraft[] = []
  choices.forEach((choice, index) => {
    const found = whole.perGroup[index]
    const { group } = choice
    const positions = positionsOf(group)
    sayUnreached(choice, job, miss)
    if (!found || found.stages.length === 0) return
    if (choice.rules.dryStart && job.schools.rinseFirst === 'never')
      schools.add(schoolText('rinseFirst', job.schools))
    let after = -1
    for (const stage of groupStages(choice, found)) {
      const { option } = stage
      after = add(
        wheel,
        {
          kind: stage.kind,
          product: option.product,
          fraction: option.fraction,
          dwellSeconds: {
            min: Math.min(option.product.dwellSeconds.min, option.dwellSeconds),
            max: option.labelMaxSeconds,
          },
          zones: group.zones,
          tools: zoneTools(group.tools),
          judgement: option.judgement,
          why: whyStage(stage, choice, job),
          care: [],
          rounds: stage.rounds,
        },
        group.corners,
        after,
      )
      for (const rule of option.judgement.rules)
        if (rule.school) schools.add(schoolText(rule.school.name, job.schools))
    }
    sayUnworked(group, positions, job, miss)
  })

  const finish: StageDraft[] = []
  const put = (
    choice: ProtectionChoice,
    kind: 'protect' | 'dress',
    zones: readonly Zone[],
    corner: Corner,
  ) => {
    add(
      finish,
      {
        kind,
        product: choice.product,
        fraction: choice.product.strength.to,
        dwellSeconds: choice.product.dwellSeconds,
        zones,
        tools: [],
        judgement: choice.judgement,
        why: choice.why,
        care: [],
        rounds: 1,
      },
      [corner],
    )
    protections.push({ corner: corner.position, kind: choice.kind, productId: choice.product.id })
    if (choice.school) schools.add(choice.school)
  }
  for (const corner of inWalkingOrder(job.corners)) {
    if (service.protection !== 'none') {
      const protection = chooseWheelProtection(corner, job)
      if (protection) put(protection, 'protect', wheelZones, corner)
      else {
        miss(
          [corner.position],
          'Nothing in the cabinet protects this finish.',
          'Add a protection that suits it, or leave the wheel clean and dry.',
        )
      }
    }
    const dressing = service.tyres ? chooseDressing(corner, job) : null
    if (dressing) put(dressing, 'dress', ['tyre'], corner)
  }
  finish.sort((a, b) => Number(a.kind === 'dress') - Number(b.kind === 'dress'))

  if (rubber.tyre.length > 0 && wheel.length > 0) schools.add(schoolText('tyre', job.schools))
  const drafts =
    job.schools.tyre === 'beforeWheel'
      ? [...rubber.arch, ...rubber.tyre, ...wheel, ...finish]
      : [...rubber.arch, ...wheel, ...rubber.tyre, ...finish]
  const unknownPins = job.wishes.pinned.filter(
    (id) =>
      !drafts.some(({ product }) => product.id === id) && job.cabinet.some((product) => product.id === id),
  )
  for (const id of unknownPins) {
    const product = job.cabinet.find((one) => one.id === id) as Product
    miss(
      job.corners.map(({ position }) => position),
      `${product.name} is pinned but has no place in this plan.`,
      isPlannable(product, job)
        ? 'A rule forbids it here, or it does nothing for what is on the wheels.'
        : 'It is archived or forbidden as well.',
    )
  }
  return {
    stages: drafts.map((draft, index) => stageOf(draft, index, job)),
    protections,
    shortfalls: [...shortfalls.values()],
    schools: [...schools],
  }
}

type Miss = (corners: readonly Position[], text: string, mend: string) => void

/** Soils that stay because the cabinet has nothing for them, with the property that is missing. */
function sayUnreached(choice: GroupChoice, job: Job, miss: Miss): void {
  const positions = positionsOf(choice.group)
  if (choice.plans.length === 0) {
    const refused = choice.options[0]?.judgement.rules[0]
    miss(
      positions,
      'Nothing in the cabinet may be used on these wheels as they are.',
      refused
        ? `${refused.reason}${whenItGoes(refused.id, choice.group.corners, job)}`
        : 'Add a cleaner for wheels to the cabinet; a wheel shampoo suits nearly every finish.',
    )
    return
  }
  for (const soil of choice.unreached) {
    const at = wheelSoils.indexOf(soil)
    const able = choice.options.filter(({ removes }) => (removes[at] ?? 0) > 0)
    const allowed = able.filter(({ judgement }) => judgement.verdict !== 'no')
    const barred = able.find(({ judgement }) => judgement.verdict === 'no')
    const [strongest] = [...allowed].sort((a, b) => (b.removes[at] ?? 0) - (a.removes[at] ?? 0))
    miss(
      positions,
      `Not all of the ${soilNames[soil]} will come off with this cabinet.`,
      able.length === 0
        ? `Nothing in it is rated for ${soilNames[soil]}; add a product that is.`
        : allowed.length === 0
          ? `${barred?.product.name} would take it, but: ${barred?.judgement.rules[0]?.reason}`
          : `${strongest?.product.name} is the best for it here; a higher rating for ${soilNames[soil]} is missing, or a second visit.`,
    )
  }
}

/** Zones nothing in the kit reaches, with what would. */
function sayUnworked(group: WheelGroup, positions: readonly Position[], job: Job, miss: Miss): void {
  const zones = [...group.tools].filter(([, tool]) => tool === null).map(([zone]) => zone)
  if (zones.length === 0) return
  const [corner] = group.corners as [Corner, ...Corner[]]
  const gap = gapOf(corner, services[job.service].wheelsOff)
  const behind = zones.some((zone) => zone === 'barrel' || zone === 'spokeBacks')
  const finish = surfaceOf(zones[0] as Zone, corner.finishes)?.finish
  miss(
    positions,
    `No clean tool in the kit works the ${zones.map((zone) => zoneNames[zone]).join(', the ')}: a band of dirt will stay.`,
    behind && Number.isFinite(gap)
      ? `The gap between the spokes is about ${Math.round(gap)} mm; a soft brush or wand that squeezes to ${Math.max(4, Math.floor(gap * 0.8))} mm would reach it.`
      : `Add a soft, clean tool for it${finish === 'glossBlack' || finish === 'matte' ? '; this finish takes soft media only' : ''}.`,
  )
}
