import { message, type Message } from '@/core/message/message'
import type { ProtectionKind } from '@/core/protection/kinds'
import type { Finish } from '@/core/finishes/finish'

/** What the owner of a set is told: how to wash what is on it, and what never to use. */
export interface CareAdvice {
  readonly wash: readonly Message[]
  readonly never: readonly Message[]
}

const bareFinishes: readonly Finish[] = [
  'polishedBare',
  'brushedBare',
  'anodised',
  'chrome',
  'magnesium',
  'unknown',
]

/** Advice that follows from what is on the wheels and what they are made of. House's words; the maker's own go before them. */
export function careAdvice(kinds: readonly ProtectionKind[], finishes: readonly Finish[]): CareAdvice {
  const isCoated = kinds.includes('ceramicCoating')
  const isWaxed = kinds.includes('wheelWax') || kinds.includes('sprayWax')
  const isMatte = finishes.includes('matte') || kinds.includes('matteSealant')
  const isBare = finishes.some((finish) => bareFinishes.includes(finish))
  return {
    wash: [
      message('due.care.advice.wash.usual'),
      message('due.care.advice.wash.dry'),
      ...(isCoated ? [message('due.care.advice.wash.coated')] : []),
      ...(isWaxed ? [message('due.care.advice.wash.waxed')] : []),
    ],
    never: [
      message('due.care.advice.never.strong'),
      message('due.care.advice.never.brushes'),
      message('due.care.advice.never.hot'),
      ...(isMatte ? [message('due.care.advice.never.matte')] : []),
      ...(isBare ? [message('due.care.advice.never.bare')] : []),
    ],
  }
}
