import { message } from '@/core/message/message'
import type { Rule } from '../rule'
import { onWheel, softSkins } from './surfaces'

export const solventRules: readonly Rule[] = [
  {
    id: 'solvent-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, traits: ['solvent'],
    reason: message('ruleBook.solventOnSoftSkin.reason'),
  },
  {
    id: 'solvent-on-wet', verdict: 'no', safety: false, zones: onWheel, families: ['tarRemover', 'ironTarRemover'], onWetWheel: true,
    reason: message('ruleBook.solventOnWet.reason'),
  },
  {
    id: 'solvent-on-peeling-lacquer', verdict: 'withCare', safety: false, zones: onWheel, conditions: ['peeling', 'corroded'], traits: ['solvent'],
    reason: message('ruleBook.solventOnPeelingLacquer.reason'),
    care: message('ruleBook.solventOnPeelingLacquer.care'), dwellCap: 'shortest',
  },
] // prettier-ignore
