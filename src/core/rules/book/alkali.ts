import { bareFinishes, openConditions } from '@/core/finishes/finish'
import type { Rule } from '../rule'
import { lacquered, onWheel, softSkins } from './surfaces'

export const alkaliRules: readonly Rule[] = [
  {
    id: 'strong-alkali-on-bare', verdict: 'no', safety: false, zones: onWheel, finishes: bareFinishes, traits: ['strongAlkali'],
    reason: 'Strong alkali corrodes and dulls bare, anodised or plated metal. Not being acid does not make it safe.',
  },
  {
    id: 'strong-alkali-on-open-lacquer', verdict: 'no', safety: false, zones: onWheel, conditions: openConditions, traits: ['strongAlkali'],
    reason: 'Strong alkali creeps under damaged or unknown lacquer.',
  },
  {
    id: 'strong-alkali-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, traits: ['strongAlkali'],
    reason: 'Strong alkali lifts film edges and clouds plastic and the resin of carbon fibre.',
  },
  {
    id: 'strong-alkali-on-diamond-cut', verdict: 'no', safety: false, zones: onWheel, finishes: ['diamondCut'], traits: ['strongAlkali'],
    reason: 'A machined face wants mild cleaners only: its thin lacquer lifts from the cut edge.',
  },
  {
    id: 'alkali-too-strong', verdict: 'no', safety: false, zones: onWheel, finishes: [...lacquered, ...softSkins, ...bareFinishes],
    traits: ['strongAlkali'], strengthAbove: 0.21,
    reason: 'Stronger than 1:4 an alkaline cleaner corrodes metal and dulls lacquer.',
  },
  {
    id: 'strong-alkali-on-lacquer', verdict: 'withCare', safety: false, zones: onWheel, finishes: lacquered, traits: ['strongAlkali'],
    strengthAbove: 0.1,
    reason: 'At cleaning strength it dulls lacquer when it dries or stays too long.',
    care: 'Keep it wet, no longer than the label says, plenty of water.',
  },
  {
    id: 'alkali-on-anodised', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['anodised', 'magnesium'], traits: ['mildAlkali'],
    reason: 'Anodising and magnesium lose colour to alkali, and it does not come back.',
    care: 'Weakest mix, short dwell, rinse at once.', dwellCap: 'shortest', testSpot: true,
  },
  {
    id: 'cleaning-strength-on-bare', verdict: 'no', safety: false, zones: onWheel, finishes: ['polishedBare', 'brushedBare', 'magnesium', 'anodised'],
    traits: ['mildAlkali'], strengthAbove: 0.12,
    reason: 'Bare metal wants soap and time: an alkaline cleaner stronger than 1:8 dulls it.',
  },
  {
    id: 'strong-cleaner-on-forged', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['brushedBare', 'polishedBare'],
    wear: ['strips'],
    reason: 'Expensive bare wheels: when in doubt milder and longer, never stronger.',
    care: 'Only where a milder one, left longer, did not do it.', testSpot: true,
  },
] // prettier-ignore
