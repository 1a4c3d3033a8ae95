import type { Act, Card, CardTap, Step, TapEnd } from '@/core/plan/plan'
import { positionNames } from '@/core/wheel/position'

const doneWords: Record<Act, string> = {
  lookRound: 'Looked', coolCheck: 'Cool', getReady: 'Ready', preRinse: 'Rinsed', spray: 'Sprayed', reMist: 'Misted', agitate: 'Brushed',
  scrub: 'Scrubbed', wipe: 'Wiped', rinse: 'Rinsed', lookAgain: 'Nothing stayed', dry: 'Dry', testSpot: 'Fine, go on', protect: 'Done', dress: 'Dressed',
  hub: 'Done', roll: 'Rolled', body: 'Done', brakes: 'Done', writeDown: 'Done',
} // prettier-ignore

const endWords: Record<TapEnd, string> = {
  sprayed: 'Sprayed',
  rinsed: 'Rinsed',
  foam: 'Scrubbed',
  bled: 'Rinsed',
  looked: 'Nothing stayed',
  tested: 'Fine, go on',
  done: 'Done',
}

/** What the big button says. */
export function buttonWord(tap: CardTap, steps: readonly Step[]): string {
  if (steps.length === 1 && steps[0]) return doneWords[steps[0].act]
  const isRinsed = steps.some(({ act }) => act === 'rinse')
  return tap.ends === 'looked' && isRinsed ? 'Rinsed, clean' : endWords[tap.ends]
}

/** Where a card is worked. */
export const cardTitle = ({ corner }: Card, steps: readonly Step[]): string => {
  if (corner !== null) return positionNames[corner]
  const [first] = steps
  return steps.length === 1 && first
    ? first.title
    : first?.act === 'lookRound'
      ? 'Before you start'
      : 'All round'
}

/** A step's title without the wheel, which stands above it. */
export function lineTitle({ title, corner }: Step): string {
  if (corner === null) return title
  const name = positionNames[corner].toLowerCase()
  const text = title.replace(new RegExp(`,? (?:on |of )?${name}(?=$|[ ,(])`), '')
  return text.charAt(0).toUpperCase() + text.slice(1)
}
