import type { Message } from '@/core/message/message'
import type { GroupChoice } from '@/core/choice/chooseForGroup'
import type { WholeChoice } from '@/core/choice/namedPlans'
import type { Job } from '@/core/job/job'
import type { Fill, PlannedProtection, Shortfall, Stage } from '@/core/plan/plan'
import { isWorkedByHand } from '@/core/plan/byHand'
import { sayMethod } from '@/core/methods/methods'
import { services } from '@/core/visit-kinds/service'
import { positionsOf } from '@/core/choice/wheelGroup'
import type { Soil } from '@/core/soils/soil'
import type { Position } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'
import { sayNothingDries, sayStaysOn, sayTooMuchForQuick } from '@/core/reasons/visit'
import { sayUnusedPin } from '@/core/reasons/unusedPin'
import { fillsOf, withCosts } from './bottles'
import { finishDrafts, polishDrafts } from './finishDrafts'
import { MethodsUsed } from './methodsUsed'
import { presoakDrafts } from './presoakDrafts'
import type { RubberCandidates } from './rubberCandidates'
import { rubberDrafts } from './rubberDrafts'
import { ShortfallBook, type Miss } from './shortfallBook'
import { stageOf, type StageDraft } from './stageDraft'
import { wheelDrafts } from './wheelDrafts'

export interface StagedJob {
  readonly stages: Stage[]
  readonly fills: Fill[]
  readonly protections: PlannedProtection[]
  readonly shortfalls: Shortfall[]
  readonly methods: readonly Message[]
}

/** Zones that hands clean, by wheel; what is only sprayed is not clean enough to be sealed. */
function cleanedBy(drafts: readonly StageDraft[]): Map<Position, readonly Zone[]> {
  const cleaned = new Map<Position, readonly Zone[]>()
  for (const draft of drafts) {
    const zones = draft.zones.filter((zone) => isWorkedByHand(zone, draft))
    if (zones.length > 0)
      for (const { position } of draft.corners)
        cleaned.set(position, [...new Set([...(cleaned.get(position) ?? []), ...zones])])
  }
  return cleaned
}

/** A soil that does not all come off, by wheel. */
const staysOn = (choices: readonly GroupChoice[]): Map<Position, Soil> =>
  new Map(
    choices.flatMap(({ group, unreached: [soil] }) =>
      soil === undefined ? [] : positionsOf(group).map((position): [Position, Soil] => [position, soil]),
    ),
  )

/** Settings that shape every visit with water. */
const waterMethods = ['wheelsOrder', 'face', 'toolRinse', 'drying'] as const

function sayUnusedPins(
  job: Job,
  choices: readonly GroupChoice[],
  used: readonly StageDraft[],
  miss: Miss,
): void {
  const positions = job.corners.map(({ position }) => position)
  const groups = choices.map(({ group }) => group)
  for (const id of job.wishes.pinned) {
    const product = job.cabinet.find((one) => one.id === id)
    if (!product || used.some((draft) => draft.product.id === id)) continue
    miss(positions, ...sayUnusedPin(product, groups, job))
  }
}

/** Stages of chemistry for all wheels, in working order; groups that want the same product in the same way share a stage. */
export function buildStages(
  job: Job,
  choices: readonly GroupChoice[],
  whole: WholeChoice,
  rubber: RubberCandidates,
): StagedJob {
  const book = new ShortfallBook()
  const methods = new MethodsUsed()
  const { miss } = book
  if (services[job.service].water) for (const name of waterMethods) methods.add(sayMethod(name, job.methods))
  const arch = rubberDrafts('arch', job, rubber, miss, methods)
  const tyre = rubberDrafts('tyre', job, rubber, miss, methods)
  const wheel = wheelDrafts(job, choices, whole, miss, methods)
  const presoak = presoakDrafts(job, choices, wheel)
  const cleaned = cleanedBy(wheel)
  const groups = choices
    .map(({ group }) => group)
    .filter(({ corners }) => corners.every(({ position }) => cleaned.has(position)))
  const polish = polishDrafts(job, groups, miss)
  const finish = finishDrafts(job, cleaned, staysOn(choices), miss, methods)
  if (tyre.length > 0 && wheel.length > 0) methods.add(sayMethod('tyre', job.methods))
  const cleaning =
    job.methods.tyre === 'beforeWheel' ? [...arch, ...tyre, ...wheel] : [...arch, ...wheel, ...tyre]
  const drafts = [...presoak, ...cleaning, ...polish, ...finish.drafts]
  sayUnusedPins(job, choices, drafts, miss)
  const dries = wheel.length > 0 ? sayNothingDries(job) : []
  // Where nothing goes at all, its reason is enough.
  const besides = drafts.length > 0 ? [...dries, ...sayStaysOn(job), ...sayTooMuchForQuick(job)] : []
  for (const said of besides) miss(said.corners, said.text, said.fix)
  const unpaid = drafts.map((draft, index) => stageOf(draft, index, job))
  const fills = fillsOf(job, unpaid)
  return {
    stages: withCosts(job, unpaid, fills),
    fills,
    protections: finish.protections,
    shortfalls: book.all(),
    methods: methods.all(),
  }
}
