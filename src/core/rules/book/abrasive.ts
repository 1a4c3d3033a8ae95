import { message } from '@/core/message/message'
import { openConditions } from '@/core/finishes/finish'
import type { Rule } from '../rule'
import { lacquered, onWheel, softSkins } from './surfaces'

export const abrasiveRules: readonly Rule[] = [
  {
    id: 'abrasive-on-open-lacquer', verdict: 'no', safety: false, zones: onWheel, conditions: openConditions, traits: ['abrasive'],
    reason: message('ruleBook.abrasiveOnOpenLacquer.reason'),
  },
  {
    id: 'abrasive-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, traits: ['abrasive'],
    reason: message('ruleBook.abrasiveOnSoftSkin.reason'),
  },
  {
    id: 'clay-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, toolKinds: ['clay'],
    reason: message('ruleBook.clayOnSoftSkin.reason'),
  },
  {
    id: 'clay-on-open-lacquer', verdict: 'no', safety: false, zones: onWheel, conditions: openConditions, toolKinds: ['clay'],
    reason: message('ruleBook.clayOnOpenLacquer.reason'),
  },
  {
    id: 'clay-lubricant-on-bare', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['polishedBare', 'brushedBare', 'chrome'],
    families: ['ironClayLubricant'],
    reason: message('ruleBook.clayLubricantOnBare.reason'),
    care: message('ruleBook.clayLubricantOnBare.care'), testSpot: true,
  },
  {
    id: 'abrasive-on-thin-layer', verdict: 'no', safety: false, zones: onWheel, finishes: ['anodised', 'magnesium', 'chrome'], families: ['metalPolish'],
    reason: message('ruleBook.abrasiveOnThinLayer.reason'),
  },
  {
    id: 'clay-on-anodised', verdict: 'no', safety: false, zones: onWheel, finishes: ['anodised', 'magnesium'], families: ['ironClayLubricant'],
    reason: message('ruleBook.clayOnAnodised.reason'),
  },
  {
    id: 'polish-on-lacquer', verdict: 'no', safety: false, zones: onWheel, finishes: lacquered, families: ['metalPolish'],
    reason: message('ruleBook.polishOnLacquer.reason'),
  },
  {
    id: 'polish-along-the-grain', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['brushedBare'], families: ['metalPolish'],
    reason: message('ruleBook.polishAlongTheGrain.reason'),
    care: message('ruleBook.polishAlongTheGrain.care'), testSpot: true,
  },
] // prettier-ignore
