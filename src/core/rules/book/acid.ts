import { message } from '@/core/message/message'
import { bareFinishes, openConditions } from '@/core/finishes/finish'
import type { Rule } from '../rule'
import { lacquered, onWheel, softSkins } from './surfaces'

export const acidRules: readonly Rule[] = [
  {
    id: 'strong-acid-on-bare', verdict: 'no', safety: false, zones: onWheel, finishes: bareFinishes, traits: ['strongAcid'],
    reason: message('ruleBook.strongAcidOnBare.reason'),
  },
  {
    id: 'strong-acid-on-open-lacquer', verdict: 'no', safety: false, zones: onWheel, conditions: openConditions, traits: ['strongAcid'],
    reason: message('ruleBook.strongAcidOnOpenLacquer.reason'),
  },
  {
    id: 'strong-acid-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, traits: ['strongAcid'],
    reason: message('ruleBook.strongAcidOnSoftSkin.reason'),
  },
  {
    id: 'acid-on-lacquer', verdict: 'no', safety: false, zones: onWheel, finishes: lacquered, traits: ['strongAcid'],
    method: { name: 'acidOnLacquer', value: false },
    reason: message('ruleBook.acidOnLacquer.reason'),
  },
  {
    id: 'acid-on-sound-lacquer', verdict: 'withCare', safety: false, zones: onWheel, finishes: lacquered, traits: ['strongAcid'],
    method: { name: 'acidOnLacquer', value: true },
    reason: message('ruleBook.acidOnSoundLacquer.reason'),
    care: message('ruleBook.acidOnSoundLacquer.care'), dwellCap: 'shortest', testSpot: true,
  },
  {
    id: 'acid-too-strong', verdict: 'no', safety: false, zones: onWheel, traits: ['strongAcid'], strengthAbove: 0.21,
    reason: message('ruleBook.acidTooStrong.reason'),
  },
  {
    id: 'acid-too-long', verdict: 'no', safety: false, zones: onWheel, traits: ['strongAcid'], dwellAboveSeconds: 120,
    reason: message('ruleBook.acidTooLong.reason'),
  },
  {
    id: 'acid-on-diamond-cut', verdict: 'no', safety: false, zones: onWheel, finishes: ['diamondCut'], traits: ['strongAcid', 'mildAcid'],
    reason: message('ruleBook.acidOnDiamondCut.reason'),
  },
  {
    id: 'acid-on-magnesium', verdict: 'no', safety: false, zones: onWheel, finishes: ['magnesium'], traits: ['mildAcid'],
    reason: message('ruleBook.acidOnMagnesium.reason'),
  },
  {
    id: 'mild-acid-on-bare', verdict: 'withCare', safety: false, zones: onWheel, finishes: bareFinishes, traits: ['mildAcid'],
    reason: message('ruleBook.mildAcidOnBare.reason'),
    care: message('ruleBook.mildAcidOnBare.care'), dwellCap: 'shortest', testSpot: true,
  },
  {
    id: 'mild-acid-on-open-lacquer', verdict: 'withCare', safety: false, zones: onWheel, conditions: openConditions, traits: ['mildAcid'],
    reason: message('ruleBook.mildAcidOnOpenLacquer.reason'),
    care: message('ruleBook.mildAcidOnOpenLacquer.care'), dwellCap: 'shortest',
  },
] // prettier-ignore
