import type { ProtectionKind } from '@/core/protection/kinds'
import type { Finish } from '@/core/finishes/finish'

/** What the owner of a set is told: how to wash what is on it, and what never to use. */
export interface CareAdvice {
  readonly wash: readonly string[]
  readonly never: readonly string[]
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
      'Let the brakes cool, rinse well, and wash with neutral shampoo and a soft mitt kept for wheels.',
      'Rinse before it dries, and dry with a towel or blower.',
      ...(isCoated
        ? ['Every two months a wash with acid shampoo by us frees the coating of film and minerals.']
        : []),
      ...(isWaxed ? ['Warm water and hot brakes shorten a wax: short, cool washes.'] : []),
    ],
    never: [
      'Acid wheel cleaner, strong alkaline cleaner or undiluted degreaser.',
      'A wash with brushes that run round the car.',
      'Cleaner of any kind on hot wheels or in full sun.',
      ...(isMatte ? ['Polish, gloss wax or clay on matte wheels.'] : []),
      ...(isBare ? ['Iron remover and acids on bare, polished or plated metal.'] : []),
    ],
  }
}
