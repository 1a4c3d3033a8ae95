import { message, sentences, type Message } from '@/core/message/message'
import type { Stage } from '@/core/plan/plan'
import type { ActText } from './actText'

/** A wait as one says it: "30 to 60 seconds", "3 to 10 minutes". */
function waitOf({ min, max }: Stage['dwellSeconds']): Message {
  if (max <= 0) return message('steps.protect.moment')
  if (max < 120)
    return min > 0 && min < max
      ? message('steps.protect.secondsRange', { from: min, seconds: max })
      : message('steps.protect.seconds', { seconds: max })
  const [from, minutes] = [Math.ceil(min / 60), Math.floor(max / 60)]
  return from > 0 && from < minutes
    ? message('steps.protect.minutesRange', { from, minutes })
    : message('steps.protect.minutes', { minutes })
}

/**
 * How something is put on, by what it is.
 * @param tool what it goes on with
 */
function howOf({ family, dwellSeconds }: Stage, tool: Message): Omit<ActText, 'title'> {
  const wait = waitOf(dwellSeconds)
  const offBrakes = message('steps.protect.offBrakes')
  switch (family) {
    case 'sprayRinseSilica':
      return {
        detail: sentences(message('steps.protect.silica.detail'), offBrakes),
        why: message('steps.protect.silica.why'),
      }
    case 'wheelWax':
      return {
        detail: sentences(message('steps.protect.wax.detail', { tool, wait }), offBrakes),
        why: message('steps.protect.wax.why'),
      }
    case 'spraySealant':
      return {
        detail: sentences(message('steps.protect.sealant.detail', { tool, wait }), offBrakes),
        why: message('steps.protect.sealant.why'),
      }
    case 'ceramicCoating':
      return {
        detail: message('steps.protect.coating.detail', { tool, wait }),
        why: message('steps.protect.coating.why'),
      }
    case 'coatingTopper':
      return {
        detail: sentences(message('steps.protect.topper.detail', { tool }), offBrakes),
        why: message('steps.protect.topper.why'),
      }
    case 'matteSealant':
      return {
        detail: sentences(message('steps.protect.matte.detail', { tool }), offBrakes),
        why: message('steps.protect.matte.why'),
      }
    default:
      return {
        detail: sentences(message('steps.protect.detailer.detail', { tool }), offBrakes),
        why: message('steps.protect.detailer.why'),
      }
  }
}

/** Putting a protection on a wheel. */
export function protectText(stage: Stage, where: Message, [first, ...others]: readonly string[]): ActText {
  // The cloth comes last; what is before it is the wheel's own applicator.
  const tool =
    first !== undefined && others.length > 0
      ? message('steps.protect.tool', { tool: first })
      : message('steps.protect.towel')
  return {
    title: message('steps.protect.title', { product: stage.productName, where }),
    ...howOf(stage, tool),
  }
}

/** Dressing a tyre. */
export const dressText = ({ family }: Stage, where: Message): ActText =>
  family === 'tyreCoating'
    ? {
        title: message('steps.dress.coat.title', { where }),
        detail: message('steps.dress.coat.detail'),
        why: message('steps.dress.coat.why'),
      }
    : {
        title: message('steps.dress.title', { where }),
        detail: message('steps.dress.detail'),
        why: message('steps.dress.why'),
      }
