import type { Said } from '@/core/message/message'
import { stagesOfStep, takesOff, type Plan, type Stage, type StageKind, type Step } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import { cleansWheel, isOnRubber } from '@/core/acts/stageKind'
import { merged } from './merged'
import { movesOf } from './passMoves'
import { passTitle } from './passTitle'
import type { PassesOfPlan, PassKind, PlanPass } from './planPass'

/** A pass at one wheel. */
interface WheelPass {
  readonly kind: PassKind
  readonly corner: Position
  readonly steps: readonly Step[]
}

/** The steps in order of time; as they were written where they stand in none. */
export function stepsInOrder(plan: Pick<Plan, 'steps' | 'sequence'>): Step[] {
  const place = new Map(plan.sequence?.entries.map(({ stepId, startSeconds }) => [stepId, startSeconds]))
  return plan.steps
    .map((step, at) => ({ step, at, start: place.get(step.id) ?? Infinity }))
    .sort((a, b) => (a.start === b.start ? 0 : a.start - b.start) || a.at - b.at)
    .map(({ step }) => step)
}

function kindOfStages(kinds: readonly StageKind[]): PassKind {
  const wheel = kinds.filter(cleansWheel)
  const named = wheel.find((kind) => kind !== 'wash') ?? 'wash'
  // What goes with the wash, or with arch and tyre, is the wash.
  if (wheel.includes('wash') || kinds.some(isOnRubber)) return 'wash'
  if (wheel.length === 0)
    return kinds.includes('protect') ? 'protect' : kinds.includes('presoak') ? 'presoak' : 'rinse'
  switch (named) {
    case 'iron':
    case 'mineral':
    case 'tar':
    case 'waterless':
      return named
    default:
      return 'wash'
  }
}

/** Cuts the steps of one wheel into passes: each ends with the rinse that takes its chemistry off. */
function passesAtWheel(
  corner: Position,
  steps: readonly Step[],
  stages: ReadonlyMap<string, Stage>,
): WheelPass[] {
  const passes: WheelPass[] = []
  let open: Step[] = []
  const kindsOf = (some: readonly Step[]): StageKind[] =>
    some.flatMap((step) => stagesOfStep(step).flatMap((id) => stages.get(id)?.kind ?? []))
  const close = (): void => {
    if (open.length > 0) passes.push({ kind: kindOfStages(kindsOf(open)), corner, steps: open })
    open = []
  }
  const add = (kind: PassKind, step: Step): void => {
    const last = passes.at(-1)
    if (last?.kind === kind) passes[passes.length - 1] = { ...last, steps: [...last.steps, step] }
    else passes.push({ kind, corner, steps: [step] })
  }
  steps.forEach((step, at) => {
    const kind = step.stageId === null ? undefined : stages.get(step.stageId)?.kind
    const isRinsed = steps.slice(at + 1).some((later) => takesOff(later, step.stageId))
    const isDry = (step.act === 'dry' && step.stageId === null) || step.act === 'dress'
    if (step.act === 'hub' && open.length === 0 && passes.length > 0) {
      add(passes.at(-1)?.kind ?? 'wash', step)
    } else if (isDry || (kind === 'protect' && step.act !== 'rinse' && !isRinsed)) {
      close()
      add('end', step)
    } else if (step.act === 'lookAgain') {
      close()
      add('check', step)
    } else if (kind === 'polish') {
      close()
      add('polish', step)
    } else {
      open.push(step)
      if (step.act === 'rinse' && step.stopsDwellOf !== null) close()
      if (step.act === 'wipe' && kind === 'waterless') close()
    }
  })
  close()
  return joinedParts(passes)
}

/** Parts of a wheel are one pass, however often it is rinsed in it. */
const joinedParts = (passes: readonly WheelPass[]): WheelPass[] =>
  passes.reduce<WheelPass[]>((joined, pass) => {
    const last = joined.at(-1)
    const partOf = ({ steps }: WheelPass): number =>
      Math.max(0, ...steps.map(({ part }) => part?.number ?? 0))
    return last && last.kind === pass.kind && partOf(pass) > partOf(last) && partOf(last) > 0
      ? [...joined.slice(0, -1), { ...last, steps: [...last.steps, ...pass.steps] }]
      : [...joined, pass]
  }, [])

/** Names passes of one wheel so that the second wash is not taken for the first. */
const named = (passes: readonly WheelPass[]) =>
  passes.map((pass, at) => {
    const times = passes.slice(0, at + 1).filter(({ kind }) => kind === pass.kind).length
    return {
      ...pass,
      id: times === 1 ? pass.kind : `${pass.kind}.${times}`,
      because: passes[at - 1]?.steps.at(-1)?.apartBecause ?? null,
    }
  })

/** Whether a step belongs to a second application of its product. */
const isAgain = ({ act, id }: Step): boolean => act === 'spray' && /\.spray[2-9](\.part\d+)?$/.test(id)

function asOne(
  id: string,
  mine: readonly (WheelPass & { readonly because: Said | null })[],
  stages: ReadonlyMap<string, Stage>,
): PlanPass {
  const steps = mine.flatMap((pass) => pass.steps)
  const kind = mine[0]?.kind ?? 'wash'
  const stageIds = [...new Set(steps.flatMap(stagesOfStep))]
  return {
    id,
    kind,
    title: passTitle(
      kind,
      stageIds.flatMap((stageId) => stages.get(stageId) ?? []),
      id === kind,
      steps.some(isAgain),
    ),
    corners: mine.map(({ corner }) => corner),
    stageIds,
    moves: movesOf(
      mine.map(({ corner, steps: own }) => ({ corner, steps: own })),
      stages,
    ),
    secondsAtWheel: Math.max(
      ...mine.map((pass) => pass.steps.reduce((sum, step) => sum + step.operatorSeconds, 0)),
    ),
    parts: Math.max(1, ...steps.map(({ part }) => part?.of ?? 1)),
    because: mine.find(({ because }) => because !== null)?.because ?? null,
  }
}

/** A plan as it is worked. Passes that several wheels get are one, in the order of the wheel that gets most. */
export function planPasses(plan: Pick<Plan, 'steps' | 'stages' | 'sequence'>): PassesOfPlan {
  const steps = stepsInOrder(plan)
  const stages = new Map(plan.stages.map((stage) => [stage.id, stage]))
  const corners = [...new Set(steps.flatMap(({ corner }) => corner ?? []))]
  const atWheels = corners.map((corner) =>
    named(
      passesAtWheel(
        corner,
        steps.filter((step) => step.corner === corner),
        stages,
      ),
    ),
  )
  const ids = merged(atWheels.map((passes) => passes.map(({ id }) => id)))
  const first = steps.findIndex(({ corner }) => corner !== null)
  const isBefore = (step: Step): boolean => first < 0 || steps.indexOf(step) < first
  const allRound = steps.filter(({ corner }) => corner === null)
  return {
    before: allRound.filter(isBefore),
    passes: ids.map((id) =>
      asOne(
        id,
        atWheels.flat().filter((pass) => pass.id === id),
        stages,
      ),
    ),
    after: allRound.filter((step) => !isBefore(step)),
  }
}
