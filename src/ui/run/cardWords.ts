import { lineTitle } from '@/core/steps/lineTitle'
import { capitalised, type Say } from '@/i18n/sayer'
import type { Translator } from '@/i18n/translator'
import type { Card, CardTap, Step } from '@/core/plan/plan'

/** What the big button says. */
export function buttonText(tap: CardTap, steps: readonly Step[], t: Translator): string {
  if (steps.length === 1 && steps[0]) return t(`bay.button.acts.${steps[0].act}`)
  const isRinsed = steps.some(({ act }) => act === 'rinse')
  return t(tap.ends === 'looked' && isRinsed ? 'bay.button.rinsedClean' : `bay.button.ends.${tap.ends}`)
}

/** Where a card is worked. */
export const cardTitle = ({ corner }: Card, steps: readonly Step[], t: Translator, say: Say): string => {
  if (corner !== null) return t(`terms.position.${corner}`)
  const [first] = steps
  return steps.length === 1 && first
    ? say(first.title)
    : t(first?.act === 'lookRound' ? 'bay.card.beforeYouStart' : 'bay.card.allRound')
}

/** A step's title without the wheel, which stands above it. */
export function sayLine({ title, corner }: Step, t: Translator, say: Say): string {
  if (corner === null) return say(title)
  if (typeof title !== 'string') return capitalised(say(lineTitle(title)))
  // Plans of earlier versions hold sentences.
  const name = t(`terms.wheel.${corner}`)
  return capitalised(title.replace(new RegExp(`,? (?:on |of )?${name}(?=$|[ ,(])`), ''))
}
