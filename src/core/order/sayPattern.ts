import { message, saidOnce, sentences, type Message, type Said, type Sayable } from '@/core/message/message'
import { terms } from '@/core/message/term'
import type { Step } from '@/core/plan/plan'
import type { Chains } from '@/core/patterns/chains'
import type { Pattern } from '@/core/patterns/pattern'
import type { Position } from '@/core/wheel/position'
import { moveWords } from './moves'
import type { PlanProblem } from './planProblem'
import { sayWay } from './sayWay'
import type { Walk } from './walks'

/** So many words for a coming to a wheel are said one by one; more are said as from one to another. */
const fewWords = 4

/** What is done from one move up to another, as one says it; null where it goes without saying. */
export function wordsOf(steps: readonly (Step | undefined)[]): Sayable | null {
  const words: Message[] = []
  for (const step of steps) {
    const word = step && moveWords(step)
    if (word && words.at(-1)?.key !== word.key) words.push(word)
  }
  const different = saidOnce(words)
  const [first, last] = [different[0], words.at(-1)]
  if (!first || !last) return null
  if (words.length <= fewWords) return words
  return different.length <= 2 ? different : message('order.fromTo', { first, last })
}

/** Moves at a wheel so many behind the one where somebody stands. */
function atWheel(moves: Sayable, behind: number): Message {
  if (behind === 0) return message('order.there', { moves })
  if (behind === 1) return message('order.before', { moves })
  if (behind === -1) return message('order.next', { moves })
  return behind < 0 ? message('order.twoAhead', { moves }) : message('order.twoBack', { moves })
}

/** Things to do one after the other, as one sentence. */
const oneByOne = ([first, ...others]: readonly Sayable[], joins: 'order.then' | 'order.again'): Sayable =>
  others.reduce<Sayable>((said, next) => message(joins, { first: said, next }), first ?? '')

/** The pattern, the way round first; two entries at the most. */
export function sayPattern(made: PlanProblem, chains: Chains, { name }: Walk, pattern: Pattern): Said[] {
  const firstOf = (move: number): Step | undefined => {
    const ids = chains.wheels.flatMap((place) => chains.operationOf[place]?.[move] ?? [])
    return made.steps[ids[0] ?? -1]
  }
  const way = sayWay(
    name,
    pattern.walks.map((walk) => walk.flatMap((place) => made.places[place] ?? [])),
  )
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
  const rounds = Array.from({ length: round + 1 }, (_, number) => {
    const own = pattern.turn.flatMap((at) => {
      const block = inRounds[at]
      return block?.round === number && block.words !== null ? [{ ...block, words: block.words }] : []
    })
    // Said from the block that begins a wheel; what a turn works before it belongs to the next turn then.
    const from = own.findIndex((block) => own.every(({ move }) => block.move <= move))
    const base = own[from]?.behind ?? 0
    return [...own.slice(from), ...own.slice(0, from)].map((block, at) => {
      const isNextTurn = at >= own.length - from
      return at === 0 ? block.words : atWheel(block.words, block.behind - base - (isNextTurn ? 1 : 0))
    })
  }).flatMap((said) => (said.length > 0 ? [oneByOne(said, 'order.then')] : []))
  const only = exceptionOf(made, chains)
  const [first, ...more] = rounds
  const lead = sentences(
    way,
    blocks.length === 1 ? message('order.finishEach') : message('order.atEach', { moves: first ?? '' }),
  )
  return more.length === 0
    ? [sentences(lead, only)]
    : [lead, sentences(message('order.onceMore', { moves: oneByOne(more, 'order.again') }), only)]
}

/** One at the gun, one at the brushes: the way round, and how the gun runs ahead. */
export function sayRoles(made: PlanProblem, chains: Chains, walk: Walk, pattern: Pattern): Said[] {
  const [first = '', ...rest] = sayPattern(made, chains, walk, pattern)
  return [sentences(message('order.way.roles'), first), ...rest]
}

/** What only some wheels get, said once; null where all get the same. */
export function exceptionOf(made: PlanProblem, chains: Chains): Message | null {
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
  if (!first) return null
  const same = some.filter(({ wheels }) => wheels.join() === first.wheels.join())
  return message('order.only', {
    wheels: terms('wheel', first.wheels),
    moves: saidOnce(same.map(({ words }) => words)),
  })
}
