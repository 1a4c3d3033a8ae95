import type { Rule } from '../rule'
import { onWheel } from './surfaces'

export const orderRules: readonly Rule[] = [
  {
    id: 'acid-on-unrinsed-alkali', verdict: 'no', safety: true, traits: ['strongAcid', 'mildAcid'], unrinsed: 'alkali',
    reason: 'Acid and alkali neutralise each other and heat up: rinse fully between them.',
  },
  {
    id: 'alkali-on-unrinsed-acid', verdict: 'no', safety: true, traits: ['strongAlkali', 'mildAlkali'], unrinsed: 'acid',
    reason: 'Alkali and acid neutralise each other and heat up: rinse fully between them.',
  },
  {
    id: 'waterless-on-grit', verdict: 'no', safety: false, zones: onWheel, families: ['waterlessSpray'], gritAtLeast: 1,
    reason: 'Brake dust and grit are abrasive: without water they are rubbed into the finish.',
  },
  {
    id: 'waterless-on-heavy-dirt', verdict: 'no', safety: false, zones: onWheel, families: ['waterlessSpray'], dirtAtLeast: 2,
    reason: 'Waterless is for light dust only; more than that wants a rinse first.',
  },
  {
    id: 'touch-on-grit', verdict: 'no', safety: false, zones: onWheel, toolStiffness: ['soft', 'medium', 'stiff'], gritAtLeast: 2,
    reason: 'Nothing touches a wheel before the grit is rinsed off.',
  },
] // prettier-ignore
