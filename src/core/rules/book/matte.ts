import { message } from '@/core/message/message'
import type { Rule } from '../rule'
import { onWheel } from './surfaces'

export const matteRules: readonly Rule[] = [
  {
    id: 'gloss-on-matte', verdict: 'no', safety: false, zones: onWheel, finishes: ['matte'], traits: ['gloss'],
    reason: message('ruleBook.glossOnMatte.reason'),
  },
  {
    id: 'coating-not-for-matte', verdict: 'no', safety: false, zones: onWheel, finishes: ['matte'], purpose: 'protect',
    families: ['spraySealant', 'sprayRinseSilica', 'ceramicCoating', 'coatingTopper'],
    reason: message('ruleBook.coatingNotForMatte.reason'),
  },
  {
    id: 'no-rubbing-matte', verdict: 'no', safety: false, zones: onWheel, finishes: ['matte'], toolKinds: ['clay'],
    reason: message('ruleBook.noRubbingMatte.reason'),
  },
  {
    id: 'no-abrasive-on-matte', verdict: 'no', safety: false, zones: onWheel, finishes: ['matte'], traits: ['abrasive'],
    reason: message('ruleBook.noAbrasiveOnMatte.reason'),
  },
  {
    id: 'matte-without-pressure', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['matte'], purpose: 'clean',
    reason: message('ruleBook.matteWithoutPressure.reason'),
    care: message('ruleBook.matteWithoutPressure.care'),
  },
  {
    id: 'dressing-beside-matte', verdict: 'withCare', safety: false, zones: ['tyre'], purpose: 'protect', besideFinishes: ['matte'],
    reason: message('ruleBook.dressingBesideMatte.reason'),
    care: message('ruleBook.dressingBesideMatte.care'),
  },
] // prettier-ignore
