import { message, sentences } from '@/core/message/message'
import { longestOf, wetTimes } from '@/core/chemistry/longest'
import type { GroupChoice } from '@/core/choice/chooseForGroup'
import type { WholeChoice } from '@/core/choice/namedPlans'
import { cornersToTreat, reachesAs, zonesToTreat } from '@/core/choice/spots'
import type { Option } from '@/core/choice/option'
import { sitesOf } from '@/core/choice/sites'
import { positionsOf, type WheelGroup } from '@/core/choice/wheelGroup'
import { judgePlaces, rulesAbout } from '@/core/rules/judge'
import { secondsOfAct } from '@/core/operator-time/operatorTime'
import { estimate } from '@/core/estimates/houseEstimates'
import type { StageKind } from '@/core/acts/stageKind'
import { groupStages, type GroupStage } from '@/core/choice/wheelStages'
import { coldDwellSeconds } from '@/core/efficacy/coldDwell'
import { surfaceCelsiusOf, type Job } from '@/core/job/job'
import { sayMethod } from '@/core/methods/methods'
import { coldWords, whyStage } from '@/core/reasons/explain'
import { sayCarried, sayNothingAllowed, sayUnreached, sayUnworked } from '@/core/reasons/shortfalls'
import { overFoamOf } from './overFoam'
import type { MethodsUsed } from './methodsUsed'
import type { Miss } from './shortfallBook'
import { sprayedWash } from './sprayedWash'
import { addDraft, zoneTools, type StageDraft } from './stageDraft'

/** From the spray to the brush at least, and to the rinse at most. */
function dwellOf(
  { option, kind }: GroupStage,
  { group }: GroupChoice,
  job: Job,
): { readonly min: number; readonly max: number } {
  const min = Math.min(option.product.dwellSeconds.min, option.dwellSeconds)
  const cold = coldDwellSeconds(min, option.dwellSeconds, surfaceCelsiusOf(job), job.estimates)
  return {
    min: Math.max(min, Math.min(cold, roomToDwell(option, kind, group, job))),
    max: option.labelMaxSeconds,
  }
}

/**
 * How long it may wait so that the whole wheel is still brushed within the label: under the brush it goes on working, and nobody
 * works a cold wheel in parts for the sake of the wait.
 */
function roomToDwell(
  { labelMaxSeconds, product }: Option,
  kind: StageKind,
  group: WheelGroup,
  job: Job,
): number {
  const act = kind === 'tar' || kind === 'waterless' ? 'wipe' : 'agitate'
  const zones = zonesToTreat(product, group)
  const contact = Math.max(
    0,
    ...group.corners.map((corner) => secondsOfAct(act, kind, { ...corner, zones }, job)),
  )
  const times = longestOf(product) === 'wet' ? wetTimes : 1
  return times * labelMaxSeconds - contact - 2 * estimate('secondsToolChange', job.estimates)
}

function draftOf(
  stage: GroupStage,
  choice: GroupChoice,
  job: Job,
  stages: readonly GroupStage[],
): Omit<StageDraft, 'corners'> {
  const { option } = stage
  const dwellSeconds = dwellOf(stage, choice, job)
  const shortest = Math.min(option.product.dwellSeconds.min, option.dwellSeconds)
  const zones = zonesToTreat(option.product, choice.group)
  return {
    kind: stage.kind,
    product: option.product,
    fraction: option.fraction,
    dwellSeconds,
    zones,
    tools: zoneTools(new Map([...choice.group.tools].filter(([zone]) => zones.includes(zone)))),
    judgement: option.judgement,
    why: sentences(whyStage(stage, choice, job, stages), coldWords(shortest, dwellSeconds.min)),
    care: [],
    rounds: stage.rounds,
  }
}

const isFoam = ({ option }: GroupStage): boolean => option.product.family === 'alkalineFoam'

/** What a group's choice says of itself: what stays, which settings decided. */
function sayChoice(
  choice: GroupChoice,
  used: readonly Option[],
  job: Job,
  miss: Miss,
  methods: MethodsUsed,
): void {
  const positions = positionsOf(choice.group)
  if (choice.group.zones.length === 0) return
  if (choice.plans.length === 0) miss(positions, ...sayNothingAllowed(choice, job))
  else for (const soil of choice.unreached) miss(positions, ...sayUnreached(choice, soil, job, used))
  if (choice.byMethod) methods.add(sayMethod('maintenance', job.methods))
  if (choice.rules.dryStart && job.methods.rinseFirst === 'never')
    methods.add(sayMethod('rinseFirst', job.methods))
}

/** Wheels that no tool gets at are sprayed with what the others are washed with, where they can stand it, and rinsed. */
function withSprayed(drafts: readonly StageDraft[], group: WheelGroup, job: Job): StageDraft[] {
  const { corners, zones, sprayedOnly } = group
  if (zones.length > 0 || sprayedOnly.length === 0) return [...drafts]
  const sites = sitesOf({ corners, zones: sprayedOnly }, job)
  const at = drafts.findIndex(
    ({ kind, product }) =>
      kind === 'wash' &&
      reachesAs(product) === 'sprayed' &&
      judgePlaces(rulesAbout({ product }), sites).verdict !== 'no',
  )
  const wash = sprayedWash(group, job, drafts[at])
  if (!wash) return [...drafts]
  const made = [...drafts]
  addDraft(made, wash, corners, Math.max(-1, at - 1))
  return made
}

/** How some cleaner gets where no tool of the kit does; null where none does. */
const reachedAs = (
  { corners, sprayedOnly }: WheelGroup,
  drafts: readonly StageDraft[],
): 'sprayed' | 'soaked' | null => {
  const ways = drafts
    .filter(
      (draft) =>
        draft.corners.some(({ position }) => corners.some((corner) => corner.position === position)) &&
        draft.zones.some((zone) => sprayedOnly.includes(zone)),
    )
    .map(({ product }) => reachesAs(product))
  return ways.find((way) => way === 'sprayed') ?? ways.find((way) => way === 'soaked') ?? null
}

/** The chosen wheel chemistry of all groups; what treats single spots goes only where they are. */
export function wheelDrafts(
  job: Job,
  choices: readonly GroupChoice[],
  whole: WholeChoice,
  miss: Miss,
  methods: MethodsUsed,
): StageDraft[] {
  const drafts: StageDraft[] = []
  choices.forEach((choice, index) => {
    const found = whole.perGroup[index]
    const used = (found?.stages ?? []).flatMap((at) => choice.options[at] ?? [])
    sayChoice(choice, used, job, miss, methods)
    if (!found) return
    let after = -1
    const stages = groupStages(choice, found)
    for (const stage of stages) {
      const corners = cornersToTreat(stage.kind, stage.option.product, choice.group)
      after = addDraft(drafts, draftOf(stage, choice, job, stages), corners, after)
      for (const { method } of stage.option.judgement.rules)
        if (method) methods.add(sayMethod(method.name, job.methods))
      const foam = stage.option.role === 'wash' && !isFoam(stage) ? overFoamOf(choice, job) : null
      if (!foam) continue
      const over = { ...stage, option: foam, rounds: 1, effect: [] }
      after = addDraft(
        drafts,
        { ...draftOf(over, choice, job, stages), why: message('reasons.why.overFoam') },
        corners,
        after,
      )
      methods.add(sayMethod('overFoaming', job.methods))
    }
  })
  const groups = choices.map(({ group }) => group)
  const all = groups.reduce<StageDraft[]>((made, group) => withSprayed(made, group, job), drafts)
  const isRefused = all.length === 0 && groups.some(({ zones }) => zones.length > 0)
  for (const group of isRefused ? [] : groups) {
    const carried = sayCarried(group)
    if (carried) miss(positionsOf(group), ...carried)
    const unworked = sayUnworked(group, job, reachedAs(group, all))
    if (unworked) miss(positionsOf(group), ...unworked)
  }
  return all
}
