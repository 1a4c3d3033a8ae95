import type { Translator } from '@/i18n/translator'
import type { Card, CardTap, Step } from '@/core/plan/plan'
import { positionNames } from '@/core/wheel/position'

/** What the big button says. */
export function buttonText(tap: CardTap, steps: readonly Step[], t: Translator): string {
  if (steps.length === 1 && steps[0]) return t(`bay.button.acts.${steps[0].act}`)
  const isRinsed = steps.some(({ act }) => act === 'rinse')
  return t(tap.ends === 'looked' && isRinsed ? 'bay.button.rinsedClean' : `bay.button.ends.${tap.ends}`)
}

/** Where a card is worked. */
export const cardTitle = ({ corner }: Card, steps: readonly Step[], t: Translator): string => {
  if (corner !== null) return positionNames[corner]
  const [first] = steps
  return steps.length === 1 && first
    ? first.title
    : t(first?.act === 'lookRound' ? 'bay.card.beforeYouStart' : 'bay.card.allRound')
}

/** A step's title without the wheel, which stands above it. */
export function lineTitle({ title, corner }: Step): string {
  if (corner === null) return title
  const name = positionNames[corner].toLowerCase()
  const text = title.replace(new RegExp(`,? (?:on |of )?${name}(?=$|[ ,(])`), '')
  return text.charAt(0).toUpperCase() + text.slice(1)
}
