import { exhaustive } from '@/core/exhaustive'
import { stagesOfStep, type Act, type Stage, type Step } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import { listed } from '@/core/words/listed'
import { cleansWheel } from '@/core/acts/stageKind'
import { merged } from './merged'

/** One move of a pass in two or three words, as it is done at its wheels. */
export interface PassMove {
  readonly act: Act
  /** Two or three words, without the wheel: "scrub tyre". */
  readonly words: string
  readonly corners: readonly Position[]
  readonly stepIds: readonly string[]
  /** Names of the tools it takes. */
  readonly tools: readonly string[]
  readonly cautions: readonly string[]
}

/** What a spray goes on, in one word each. */
function targetsOf(step: Step, stages: ReadonlyMap<string, Stage>): string[] {
  const kinds = stagesOfStep(step).flatMap((id) => stages.get(id)?.kind ?? [])
  return [...new Set(kinds.map((kind) => (kind === 'arch' || kind === 'tyre' ? kind : 'wheel')))]
}

/** Whether it goes on spots alone: a remover of iron and tar goes on the whole wheel. */
const isOnSpots = ({ kind, family }: Stage): boolean => kind === 'tar' && family !== 'ironTarRemover'

/** A wipe by what it is for; that of a quick round belongs to no product. */
function wipeWords(own: readonly Stage[]): string {
  const kinds = own.map(({ kind }) => kind)
  if (own.some(isOnSpots)) return 'wipe spots off'
  if (kinds.includes('protect')) return 'degreasing wipe'
  if (kinds.includes('polish')) return 'polish'
  return kinds.some(cleansWheel) ? 'wipe clean' : 'wipe tyre'
}

const isFromBucket = ({ stageId }: Step, stages: ReadonlyMap<string, Stage>): boolean =>
  stageId !== null && stages.get(stageId)?.delivery === 'bucket'

const metalWords = (step: Step): string => {
  const zones = new Set(step.zones)
  const [barrel, face] = [
    zones.has('barrel') || zones.has('spokeBacks'),
    zones.has('face') || zones.has('lip'),
  ]
  return barrel && face ? 'barrel, then face' : barrel ? 'barrel' : face ? 'face' : 'wheel'
}

/** Says a step without its wheel and product. */
export function moveWords(step: Step, stages: ReadonlyMap<string, Stage>): string {
  const own = stagesOfStep(step).flatMap((id) => stages.get(id) ?? [])
  const kinds = own.map(({ kind }) => kind)
  const inParts = step.part === null ? '' : step.part.number === 1 ? ' (first part)' : ' (next part)'
  switch (step.act) {
    case 'preRinse':
      return 'pre-rinse'
    case 'spray':
      if (own.some(isOnSpots)) return 'tar remover on the spots'
      return isFromBucket(step, stages)
        ? `suds on the wheel${inParts}`
        : `spray ${listed(targetsOf(step, stages))}${inParts}`
    case 'reMist':
      return 'keep wet'
    case 'agitate':
      return `brush ${metalWords(step)}${inParts}`
    case 'scrub':
      return `scrub ${kinds.includes('arch') ? 'arch' : 'tyre'}`
    case 'wipe':
      return wipeWords(own)
    case 'rinse':
      return kinds.includes('protect') ? 'rinse at once' : 'rinse'
    case 'lookAgain':
      return 'check the wet wheel'
    case 'testSpot':
      return 'test spot'
    case 'dry':
      return 'dry'
    case 'protect':
      return 'apply protection'
    case 'dress':
      return 'dress tyre'
    case 'hub':
      return 'clean hub'
    case 'lookRound':
    case 'coolCheck':
    case 'getReady':
    case 'roll':
    case 'body':
    case 'brakes':
    case 'writeDown':
      return step.title.toLowerCase()
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
  readonly words: string
  /** What is done again is another move. */
  readonly name: string
}

/** Arch and tyre sprayed one after the other are one move, with one product or with two. */
const rubberSpray = /^spray (?:arch and tyre|arch|tyre)$/

function joined(said: readonly { step: Step; words: string }[]): { steps: Step[]; words: string }[] {
  return said.reduce<{ steps: Step[]; words: string }[]>((moves, { step, words }) => {
    const last = moves.at(-1)
    if (!last || !rubberSpray.test(last.words) || !rubberSpray.test(words))
      return [...moves, { steps: [step], words }]
    const both = last.words === words ? words : 'spray arch and tyre'
    return [...moves.slice(0, -1), { steps: [...last.steps, step], words: both }]
  }, [])
}

function movesAtWheel({ corner, steps }: WheelMoves, say: (step: Step) => string): WheelMove[] {
  const times = new Map<string, number>()
  const sprayed = new Set<string>()
  return joined(steps.map((step) => ({ step, words: say(step) }))).map(({ steps: own, words }) => {
    const time = (times.get(words) ?? 0) + 1
    times.set(words, time)
    // The tyre alone, after arch and tyre: that is again, too.
    const targets = rubberSpray.test(words) ? words.replace('spray ', '').split(' and ') : []
    const isAgain = time > 1 || (targets.length > 0 && targets.every((target) => sprayed.has(target)))
    for (const target of targets) sprayed.add(target)
    return { corner, steps: own, words: isAgain ? `${words} again` : words, name: `${words}.${time}` }
  })
}

/** The moves of a pass that some wheels get, each once with its wheels, in the order of work. */
export function movesOf(wheels: readonly WheelMoves[], say: (step: Step) => string): PassMove[] {
  const each = wheels.map((wheel) => movesAtWheel(wheel, say))
  return merged(each.map((moves) => moves.map(({ name }) => name))).map((name) => {
    const mine = each.flat().filter((move) => move.name === name)
    const own = mine.flatMap((move) => move.steps)
    return {
      act: own[0]?.act ?? 'rinse',
      words: mine[0]?.words ?? '',
      corners: mine.map(({ corner }) => corner),
      stepIds: own.map(({ id }) => id),
      tools: [...new Set(own.flatMap(({ tools }) => tools))],
      cautions: [...new Set(own.flatMap(({ cautions }) => cautions))],
    }
  })
}
