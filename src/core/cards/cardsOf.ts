import { stagesOfStep, takesOff, type Card, type CardTap, type Step, type TapEnd } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import type { Question } from '@/core/acts/question'

/** A step and who does it. */
export interface Given {
  readonly step: Step
  readonly person: number
}

const endOf: Record<Question, TapEnd> = { foam: 'foam', iron: 'bled', look: 'looked', testSpot: 'tested' }

/** What a step asks; plans of earlier versions name neither foam nor iron. */
export function questionOf({ asks, act }: Step): Question | null {
  if (asks) return asks
  return act === 'lookAgain' ? 'look' : act === 'testSpot' ? 'testSpot' : null
}

/** A clock that runs no longer than this before the same hands rinse it off needs no tap, s. */
const shortSeconds = 30

/** A tap comes no later for a step as short as this, s. */
const momentSeconds = 20

/** Whether somebody has to be told when this step ended, because a clock runs while they do something else or wait. */
function isLoud(step: Step, later: readonly Step[]): boolean {
  if (!step.startsDwell) return false
  if (step.startsDwell.minSeconds > shortSeconds) return true
  // Taken off before anybody leaves the wheel: nothing is forgotten there.
  return !stagesOfStep(step).every((stageId) => later.some((other) => takesOff(other, stageId)))
}

/** The lines of one coming, by the taps that end them. */
function tapsOf(steps: readonly Step[], isQuiet: (step: Step, stageId: string) => boolean): CardTap[] {
  const taps: CardTap[] = []
  let open: string[] = []
  steps.forEach((step, at) => {
    open.push(step.id)
    const later = steps.slice(at + 1)
    const [next] = later
    const ends = ((): TapEnd | null => {
      const question = questionOf(step)
      if (question) return endOf[question]
      // A mist is waited for and begins the film's time anew.
      if (step.act === 'reMist' || next?.act === 'reMist') return step.startsDwell ? 'sprayed' : 'done'
      // What is sprayed in one go is told with one tap.
      if (isLoud(step, later) && !(next && isLoud(next, later.slice(1)))) return 'sprayed'
      const off = [step.stopsDwellOf, ...(step.alsoStops ?? [])].filter((id) => id !== null)
      // What follows at once and has a tap of its own tells of the rinse, too.
      const isTold =
        next &&
        next.operatorSeconds <= momentSeconds &&
        (questionOf(next) === 'look' || isLoud(next, later.slice(1)))
      if (!isTold && off.some((stageId) => !isQuiet(step, stageId))) return 'rinsed'
      return null
    })()
    if (ends === null && next) return
    taps.push({ ends: ends ?? 'done', stepIds: open })
    open = []
  })
  return taps
}

/**
 * Steps in the order they are worked, as cards.
 * @param given in order of time, all people together
 */
export function cardsOf(given: readonly Given[]): Card[] {
  const comings: { corner: Position | null; person: number; steps: Step[] }[] = []
  const lastOf = new Map<number, (typeof comings)[number]>()
  for (const { step, person } of given) {
    const last = lastOf.get(person)
    if (last && last.corner === step.corner) last.steps.push(step)
    else {
      const coming = { corner: step.corner, person, steps: [step] }
      lastOf.set(person, coming)
      comings.push(coming)
    }
  }
  /** Clocks nobody was told of, by wheel and stage. */
  const quiet = new Set<string>()
  for (const { steps } of comings)
    steps.forEach((step, at) => {
      if (step.startsDwell && !isLoud(step, steps.slice(at + 1)))
        for (const stageId of stagesOfStep(step)) quiet.add(`${step.corner}.${stageId}`)
    })
  return comings.map(({ corner, person, steps }) => ({
    corner,
    person,
    taps: tapsOf(steps, (step, stageId) => quiet.has(`${step.corner}.${stageId}`)),
  }))
}

/** Taps a job takes when all goes as planned. */
export const tapCount = (cards: readonly Card[]): number =>
  cards.reduce((sum, { taps }) => sum + taps.length, 0)
