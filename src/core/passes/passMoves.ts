import { message, saidOnce, type Message, type Said } from '@/core/message/message'
import { exhaustive } from '@/core/exhaustive'
import { stagesOfStep, type Act, type Stage, type Step } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import { cleansWheel } from '@/core/acts/stageKind'
import { merged } from './merged'

/** One move of a pass in two or three words, as it is done at its wheels. */
export interface PassMove {
  readonly act: Act
  /** Two or three words, without the wheel: "scrub tyre". */
  readonly words: Said
  readonly corners: readonly Position[]
  readonly stepIds: readonly string[]
  /** Names of the tools it takes. */
  readonly tools: readonly string[]
  readonly cautions: readonly Said[]
}

type Target = 'arch' | 'tyre' | 'wheel'

/** What a spray goes on. */
function targetsOf(step: Step, stages: ReadonlyMap<string, Stage>): Target[] {
  const kinds = stagesOfStep(step).flatMap((id) => stages.get(id)?.kind ?? [])
  return [...new Set(kinds.map((kind) => (kind === 'arch' || kind === 'tyre' ? kind : 'wheel')))]
}

const sprayWords = (targets: readonly Target[]): Message =>
  message('steps.moves.spray', { places: targets.map((target) => message(`steps.moves.${target}`)) })

/** Whether it goes on spots alone: a remover of iron and tar goes on the whole wheel. */
const isOnSpots = ({ kind, family }: Stage): boolean => kind === 'tar' && family !== 'ironTarRemover'

/** A wipe by what it is for; that of a quick round belongs to no product. */
function wipeWords(own: readonly Stage[]): Message {
  const kinds = own.map(({ kind }) => kind)
  if (own.some(isOnSpots)) return message('steps.moves.wipeSpots')
  if (kinds.includes('protect')) return message('steps.moves.degrease')
  if (kinds.includes('polish')) return message('steps.moves.polish')
  return kinds.some(cleansWheel) ? message('steps.moves.wipeClean') : message('steps.moves.wipeTyre')
}

const isFromBucket = ({ stageId }: Step, stages: ReadonlyMap<string, Stage>): boolean =>
  stageId !== null && stages.get(stageId)?.delivery === 'bucket'

function brushWords(step: Step): Message {
  const zones = new Set(step.zones)
  const face = zones.has('face') || zones.has('lip')
  if (zones.has('barrel'))
    return message(face ? 'steps.moves.brushBarrelThenFace' : 'steps.moves.brushBarrel')
  if (zones.has('spokeBacks'))
    return message(face ? 'steps.moves.brushBacksThenFace' : 'steps.moves.brushBacks')
  return message(face ? 'steps.moves.brushFace' : 'steps.moves.brushWheel')
}

/** Where a wheel is worked in parts, which one. */
function inParts({ part }: Step, move: Message): Message {
  if (part === null) return move
  return part.number === 1
    ? message('steps.moves.firstPart', { move })
    : message('steps.moves.nextPart', { move })
}

/** Says a step without its wheel and product. */
export function moveWords(step: Step, stages: ReadonlyMap<string, Stage>): Said {
  const own = stagesOfStep(step).flatMap((id) => stages.get(id) ?? [])
  const kinds = own.map(({ kind }) => kind)
  switch (step.act) {
    case 'preRinse':
      return message('steps.moves.preRinse')
    case 'spray':
      if (own.some(isOnSpots)) return message('steps.moves.tarSpots')
      return inParts(
        step,
        isFromBucket(step, stages) ? message('steps.moves.suds') : sprayWords(targetsOf(step, stages)),
      )
    case 'reMist':
      return message('steps.moves.keepWet')
    case 'agitate':
      return inParts(step, brushWords(step))
    case 'scrub':
      return kinds.includes('arch') ? message('steps.moves.scrubArch') : message('steps.moves.scrubTyre')
    case 'wipe':
      return wipeWords(own)
    case 'rinse':
      return kinds.includes('protect') ? message('steps.moves.rinseAtOnce') : message('steps.moves.rinse')
    case 'lookAgain':
      return message('steps.moves.check')
    case 'testSpot':
      return message('steps.moves.testSpot')
    case 'dry':
      return message('steps.moves.dry')
    case 'protect':
      return message('steps.moves.protect')
    case 'dress':
      return message('steps.moves.dress')
    case 'hub':
      return message('steps.moves.hub')
    case 'lookRound':
    case 'coolCheck':
    case 'getReady':
    case 'roll':
    case 'body':
    case 'brakes':
    case 'writeDown':
      return step.title
    default:
      return exhaustive(step.act)
  }
}

interface WheelMoves {
  readonly corner: Position
  readonly steps: readonly Step[]
}

/** A move at one wheel: one step, or sprays of arch and tyre that follow each other. */
interface WheelMove {
  readonly corner: Position
  readonly steps: readonly Step[]
  readonly words: Said
  /** What is done again is another move. */
  readonly name: string
}

/** A step in words; where it only sprays rubber, what it goes on. */
interface SaidStep {
  readonly steps: readonly Step[]
  readonly words: Said
  readonly rubber: readonly Target[]
}

function saidStep(step: Step, stages: ReadonlyMap<string, Stage>): SaidStep {
  const targets = step.act === 'spray' ? targetsOf(step, stages) : []
  const isRubber = targets.length > 0 && !targets.includes('wheel') && step.part === null
  return { steps: [step], words: moveWords(step, stages), rubber: isRubber ? targets : [] }
}

/** Arch and tyre sprayed one after the other are one move, with one product or with two. */
const joined = (said: readonly SaidStep[]): SaidStep[] =>
  said.reduce<SaidStep[]>((moves, one) => {
    const last = moves.at(-1)
    if (!last || last.rubber.length === 0 || one.rubber.length === 0) return [...moves, one]
    const rubber = (['arch', 'tyre'] as const).filter((target) =>
      [...last.rubber, ...one.rubber].includes(target),
    )
    return [
      ...moves.slice(0, -1),
      { steps: [...last.steps, ...one.steps], words: sprayWords(rubber), rubber },
    ]
  }, [])

function movesAtWheel({ corner, steps }: WheelMoves, stages: ReadonlyMap<string, Stage>): WheelMove[] {
  const times = new Map<string, number>()
  const sprayed = new Set<Target>()
  return joined(steps.map((step) => saidStep(step, stages))).map(({ steps: own, words, rubber }) => {
    const mark = JSON.stringify(words)
    const time = (times.get(mark) ?? 0) + 1
    times.set(mark, time)
    // The tyre alone, after arch and tyre: that is again, too.
    const isAgain = time > 1 || (rubber.length > 0 && rubber.every((target) => sprayed.has(target)))
    for (const target of rubber) sprayed.add(target)
    return {
      corner,
      steps: own,
      words: isAgain ? message('steps.moves.again', { move: words }) : words,
      name: `${mark}.${time}`,
    }
  })
}

/** The moves of a pass that some wheels get, each once with its wheels, in the order of work. */
export function movesOf(wheels: readonly WheelMoves[], stages: ReadonlyMap<string, Stage>): PassMove[] {
  const each = wheels.map((wheel) => movesAtWheel(wheel, stages))
  return merged(each.map((moves) => moves.map(({ name }) => name))).map((name) => {
    const mine = each.flat().filter((move) => move.name === name)
    const own = mine.flatMap((move) => move.steps)
    return {
      act: own[0]?.act ?? 'rinse',
      words: mine[0]?.words ?? '',
      corners: mine.map(({ corner }) => corner),
      stepIds: own.map(({ id }) => id),
      tools: [...new Set(own.flatMap(({ tools }) => tools))],
      cautions: saidOnce(own.flatMap(({ cautions }) => cautions)),
    }
  })
}
