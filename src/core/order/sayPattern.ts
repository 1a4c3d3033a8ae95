import type { Step } from '@/core/plan/plan'
import type { Chains } from '@/core/patterns/chains'
import type { Pattern } from '@/core/patterns/pattern'
import { positionNames, type Position } from '@/core/wheel/position'
import { listed } from '@/core/words/listed'
import { moveWords } from './moves'
import type { PlanProblem } from './planProblem'
import type { Walk } from './walks'

/** So many words for a coming to a wheel are said one by one; more are said as from one to another. */
const fewWords = 4

/** What is done from one move up to another, as one says it; empty where it goes without saying. */
export function wordsOf(steps: readonly (Step | undefined)[]): string {
  const words: string[] = []
  for (const step of steps) {
    const word = step && moveWords(step)
    if (word && words.at(-1) !== word) words.push(word)
  }
  const different = [...new Set(words)]
  if (words.length <= fewWords) return listed(words)
  if (different.length <= 2) return listed(different)
  return `everything from ${different[0]} to ${words.at(-1)}`
}

const where = (behind: number): string =>
  behind === 0
    ? 'there'
    : behind === 1
      ? 'at the one before'
      : behind === -1
        ? 'at the next'
        : behind < 0
          ? 'two ahead'
          : 'two back'

/** The pattern in two sentences at the most. */
export function sayPattern(made: PlanProblem, chains: Chains, { name }: Walk, pattern: Pattern): string[] {
  const firstOf = (move: number): Step | undefined => {
    const ids = chains.wheels.flatMap((place) => chains.operationOf[place]?.[move] ?? [])
    return made.steps[ids[0] ?? -1]
  }
  const start = made.places[pattern.walks[0]?.[0] ?? 0]
  const way =
    pattern.walks.length > 1 || !/wise$/.test(name)
      ? name
      : `${name} from the ${start === 'vehicle' || start === undefined ? 'vehicle' : positionNames[start].toLowerCase()}`
  const moves = chains.moves.length
  const blocks = pattern.blocks.map((block, at) => {
    const upTo = pattern.blocks[at + 1]?.move ?? moves
    const own = Array.from({ length: upTo - block.move }, (_, index) => firstOf(block.move + index))
    return { ...block, at, upTo, words: wordsOf(own) }
  })
  // A block that waits for all wheels begins another round, with all that follows it.
  let round = 0
  let behind = 0
  const inRounds = blocks.map((block) => {
    if (block.behind === 'round') [round, behind] = [round + 1, 0]
    else behind += block.behind
    return { ...block, round, behind }
  })
  const sentences = Array.from({ length: round + 1 }, (_, number) => {
    const own = pattern.turn
      .map((at) => inRounds[at])
      .filter((block) => block?.round === number && block.words !== '') as typeof inRounds
    // Said from the block that begins a wheel; what a turn works before it belongs to the next turn then.
    const from = own.findIndex((block) => own.every(({ move }) => block.move <= move))
    const base = own[from]?.behind ?? 0
    return [...own.slice(from), ...own.slice(0, from)]
      .map((block, at) => {
        const isNextTurn = at >= own.length - from
        return at === 0 ? block.words : `${block.words} ${where(block.behind - base - (isNextTurn ? 1 : 0))}`
      })
      .join(', then ')
  })
  const only = exceptionOf(made, chains)
  const [first = '', ...more] = sentences.filter((text) => text !== '')
  const lead =
    blocks.length === 1 ? `${way}: one wheel is finished before the next` : `${way}, at each wheel: ${first}`
  const rest =
    more.length > 0 ? `When all wheels have had that, once more round: ${more.join(', and again: ')}` : ''
  const tail = only === '' ? '' : `; ${only}`
  return rest === '' ? [`${lead}${tail}.`] : [`${lead}.`, `${rest}${tail}.`]
}

/** One at the gun, one at the brushes: the way round, and how the gun runs ahead. */
export function sayRoles(made: PlanProblem, chains: Chains, walk: Walk, pattern: Pattern): string[] {
  const [first = '', ...rest] = sayPattern(made, chains, walk, pattern)
  const way = first.charAt(0).toLowerCase() + first.slice(1)
  return [`One at the gun, one at the brushes; ${way}`, ...rest]
}

/** What only some wheels get, said once. */
export function exceptionOf(made: PlanProblem, chains: Chains): string {
  const some = chains.moves.flatMap((_, move) => {
    const at = chains.wheels.filter((place) => chains.operationOf[place]?.[move] !== undefined)
    if (at.length === chains.wheels.length) return []
    const step = made.steps[chains.operationOf[at[0] as number]?.[move] ?? -1]
    const words = step && moveWords(step)
    return words && step.act !== 'rinse' && step.act !== 'agitate'
      ? [{ wheels: at.map((place) => made.places[place] as Position), words }]
      : []
  })
  const [first] = some
  if (!first) return ''
  const same = some.filter(({ wheels }) => wheels.join() === first.wheels.join())
  const wheels = listed(first.wheels.map((position) => positionNames[position].toLowerCase()))
  return `only ${wheels}: ${listed([...new Set(same.map(({ words }) => words))])}`
}
