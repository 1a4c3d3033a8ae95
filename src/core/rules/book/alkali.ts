import { message } from '@/core/message/message'
import { bareFinishes, openConditions } from '@/core/finishes/finish'
import type { Rule } from '../rule'
import { lacquered, onWheel, softSkins } from './surfaces'

export const alkaliRules: readonly Rule[] = [
  {
    id: 'strong-alkali-on-bare', verdict: 'no', safety: false, zones: onWheel, finishes: bareFinishes, traits: ['strongAlkali'],
    reason: message('ruleBook.strongAlkaliOnBare.reason'),
  },
  {
    id: 'strong-alkali-on-open-lacquer', verdict: 'no', safety: false, zones: onWheel, conditions: openConditions, traits: ['strongAlkali'],
    reason: message('ruleBook.strongAlkaliOnOpenLacquer.reason'),
  },
  {
    id: 'strong-alkali-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, traits: ['strongAlkali'],
    reason: message('ruleBook.strongAlkaliOnSoftSkin.reason'),
  },
  {
    id: 'strong-alkali-on-diamond-cut', verdict: 'no', safety: false, zones: onWheel, finishes: ['diamondCut'], traits: ['strongAlkali'],
    reason: message('ruleBook.strongAlkaliOnDiamondCut.reason'),
  },
  {
    id: 'alkali-too-strong', verdict: 'no', safety: false, zones: onWheel, finishes: [...lacquered, ...softSkins, ...bareFinishes],
    traits: ['strongAlkali'], strengthAbove: 0.21,
    reason: message('ruleBook.alkaliTooStrong.reason'),
  },
  {
    id: 'strong-alkali-on-lacquer', verdict: 'withCare', safety: false, zones: onWheel, finishes: lacquered, traits: ['strongAlkali'],
    strengthAbove: 0.1,
    reason: message('ruleBook.strongAlkaliOnLacquer.reason'),
    care: message('ruleBook.strongAlkaliOnLacquer.care'),
  },
  {
    id: 'alkali-on-anodised', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['anodised', 'magnesium'], traits: ['mildAlkali'],
    reason: message('ruleBook.alkaliOnAnodised.reason'),
    care: message('ruleBook.alkaliOnAnodised.care'), dwellCap: 'shortest', testSpot: true,
  },
  {
    id: 'cleaning-strength-on-bare', verdict: 'no', safety: false, zones: onWheel, finishes: ['polishedBare', 'brushedBare', 'magnesium', 'anodised'],
    traits: ['mildAlkali'], strengthAbove: 0.12,
    reason: message('ruleBook.cleaningStrengthOnBare.reason'),
  },
  {
    id: 'strong-cleaner-on-forged', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['brushedBare', 'polishedBare'],
    wear: ['strips'],
    reason: message('ruleBook.strongCleanerOnForged.reason'),
    care: message('ruleBook.strongCleanerOnForged.care'), testSpot: true,
  },
] // prettier-ignore
