import { openConditions } from '@/core/finishes/finish'
import type { Rule } from '../rule'
import { lacquered, onWheel, softSkins } from './surfaces'

export const abrasiveRules: readonly Rule[] = [
  {
    id: 'abrasive-on-open-lacquer', verdict: 'no', safety: false, zones: onWheel, conditions: openConditions, traits: ['abrasive'],
    reason: 'Clay and polish catch on open or unknown lacquer and lift it further.',
  },
  {
    id: 'abrasive-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, traits: ['abrasive'],
    reason: 'Clay and polish mar film and plastic and cut into resin.',
  },
  {
    id: 'clay-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, toolKinds: ['clay'],
    reason: 'Clay mars film and plastic and catches at their edges.',
  },
  {
    id: 'clay-on-open-lacquer', verdict: 'no', safety: false, zones: onWheel, conditions: openConditions, toolKinds: ['clay'],
    reason: 'Clay catches on open edges and lifts them further.',
  },
  {
    id: 'clay-lubricant-on-bare', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['polishedBare', 'brushedBare', 'chrome'],
    families: ['ironClayLubricant'],
    reason: 'Clay leaves marks in soft metal.',
    care: 'Test spot on this metal first, light strokes, fresh clay.', testSpot: true,
  },
  {
    id: 'abrasive-on-thin-layer', verdict: 'no', safety: false, zones: onWheel, finishes: ['anodised', 'magnesium', 'chrome'], families: ['metalPolish'],
    reason: 'Polish takes thin layers off: anodising and plating do not come back.',
  },
  {
    id: 'clay-on-anodised', verdict: 'no', safety: false, zones: onWheel, finishes: ['anodised', 'magnesium'], families: ['ironClayLubricant'],
    reason: 'Clay takes the colour of anodising and magnesium with it.',
  },
  {
    id: 'polish-on-lacquer', verdict: 'no', safety: false, zones: onWheel, finishes: lacquered, families: ['metalPolish'],
    reason: 'Metal polish is for bare metal; on lacquer it hazes and cuts through.',
  },
  {
    id: 'polish-along-the-grain', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['brushedBare'], families: ['metalPolish'],
    reason: 'Polishing across the grain wipes the brushed look out.',
    care: 'Along the grain only, test spot first.', testSpot: true,
  },
] // prettier-ignore
