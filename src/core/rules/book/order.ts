import { message } from '@/core/message/message'
import type { Rule } from '../rule'
import { onWheel } from './surfaces'

export const orderRules: readonly Rule[] = [
  {
    id: 'acid-on-unrinsed-alkali', verdict: 'no', safety: true, traits: ['strongAcid', 'mildAcid'], unrinsed: 'alkali',
    reason: message('ruleBook.acidOnUnrinsedAlkali.reason'),
  },
  {
    id: 'alkali-on-unrinsed-acid', verdict: 'no', safety: true, traits: ['strongAlkali', 'mildAlkali'], unrinsed: 'acid',
    reason: message('ruleBook.alkaliOnUnrinsedAcid.reason'),
  },
  {
    id: 'waterless-on-grit', verdict: 'no', safety: false, zones: onWheel, families: ['waterlessSpray'], gritAtLeast: 1,
    reason: message('ruleBook.waterlessOnGrit.reason'),
  },
  {
    id: 'waterless-on-heavy-dirt', verdict: 'no', safety: false, zones: onWheel, families: ['waterlessSpray'], dirtAtLeast: 2,
    reason: message('ruleBook.waterlessOnHeavyDirt.reason'),
  },
  {
    id: 'touch-on-grit', verdict: 'no', safety: false, zones: onWheel, toolStiffness: ['soft', 'medium', 'stiff'], gritAtLeast: 2,
    reason: message('ruleBook.touchOnGrit.reason'),
  },
] // prettier-ignore
