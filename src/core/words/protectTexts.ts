import type { Stage } from '@/core/plan/plan'
import type { ActText } from './actText'

/** A wait as one says it: "30 to 60 seconds", "3 to 10 minutes". */
function waitOf({ min, max }: Stage['dwellSeconds']): string {
  if (max <= 0) return 'a moment'
  if (max < 120) return min > 0 && min < max ? `${min} to ${max} seconds` : `${max} seconds`
  const [from, to] = [Math.ceil(min / 60), Math.floor(max / 60)]
  return from > 0 && from < to ? `${from} to ${to} minutes` : `${to} minutes at most`
}

const offBrakes = 'Keep it off disc and pads.'

/**
 * How something is put on, by what it is.
 * @param onto what it goes on with, as it stands in a sentence
 */
function howOf({ family, dwellSeconds }: Stage, onto: string): Omit<ActText, 'title'> {
  const wait = waitOf(dwellSeconds)
  switch (family) {
    case 'sprayRinseSilica':
      return {
        detail: `A light, even mist over the wet wheel, back to front. ${offBrakes} It is rinsed at once.`,
        why: 'The next wash is easy because of this one.',
      }
    case 'wheelWax':
      return {
        detail: `A thin coat with ${onto}. Leave it ${wait} until it hazes, then buff it off with a clean towel. ${offBrakes}`,
        why: 'Only what hazed has bonded; thick wax only smears.',
      }
    case 'spraySealant':
      return {
        detail: `Two sprays on ${onto}. Spread it thin over a few spokes, leave it ${wait}, then wipe it off with a dry side of the towel. ${offBrakes}`,
        why: 'Thin bonds; what is left thick dries to streaks.',
      }
    case 'ceramicCoating':
      return {
        detail: `A few drops on ${onto}. One section at a time, two spokes at most: lay it on crosswise, wait ${wait}, then level it with a clean towel before the next. Seats, valve, disc and pads stay free of it.`,
        why: 'What is not levelled in time sets as a high spot.',
      }
    case 'coatingTopper':
      return {
        detail: `Mist it on ${onto}, not on the wheel. A few spokes at a time, then buff at once with a dry side of the towel. ${offBrakes}`,
        why: 'It renews what the coating has lost.',
      }
    case 'matteSealant':
      return {
        detail: `Mist it on ${onto}, wipe it on thin and without pressure, and take up what is left with a dry side of the towel. ${offBrakes}`,
        why: 'Rubbing makes matte shiny.',
      }
    default:
      return {
        detail: `Mist it on ${onto}, spread it thin over a few spokes, and buff at once with a dry side of the towel. ${offBrakes}`,
        why: 'Left to dry it smears.',
      }
  }
}

/** Putting a protection on a wheel. */
export function protectText(stage: Stage, where: string, tools: readonly string[]): ActText {
  // The cloth comes last; what is before it is the wheel's own applicator.
  const onto = tools.length > 1 ? `the ${tools[0]}` : 'a folded towel'
  return { title: `${stage.productName} on ${where}`, ...howOf(stage, onto) }
}

/** Dressing a tyre. */
export const dressText = ({ family }: Stage, where: string): ActText =>
  family === 'tyreCoating'
    ? {
        title: `Coat tyre, ${where}`,
        detail:
          'Bare, dry rubber. A thin coat with the applicator, a quarter at a time, worked into the letters. Wipe smears off the rim at once, and take fresh gloves afterwards.',
        why: 'It bonds only where nothing else is on the rubber.',
      }
    : {
        title: `Dress tyre, ${where}`,
        detail:
          'Dry tyre. A thin coat with the primed applicator, a quarter at a time. Wipe smears off the rim at once, and take fresh gloves afterwards.',
        why: 'Thin and dry does not sling; silicone on a glove ends up on paint and mitt.',
      }
