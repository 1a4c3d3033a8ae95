import { bareFinishes, openConditions } from '@/core/finishes/finish'
import type { Rule } from '../rule'
import { lacquered, onWheel, softSkins } from './surfaces'

export const acidRules: readonly Rule[] = [
  {
    id: 'strong-acid-on-bare', verdict: 'no', safety: false, zones: onWheel, finishes: bareFinishes, traits: ['strongAcid'],
    reason: 'Strong acid hazes or etches bare, anodised or plated metal; etched anodising cannot be polished out.',
  },
  {
    id: 'strong-acid-on-open-lacquer', verdict: 'no', safety: false, zones: onWheel, conditions: openConditions, traits: ['strongAcid'],
    reason: 'Acid gets under lacquer that is chipped, peeling or not known to be sound.',
  },
  {
    id: 'strong-acid-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, traits: ['strongAcid'],
    reason: 'Strong acid clouds resin and plastic and lifts the edges of film.',
  },
  {
    id: 'acid-on-lacquer', verdict: 'no', safety: false, zones: onWheel, finishes: lacquered, traits: ['strongAcid'],
    school: { name: 'acidOnLacquer', value: false },
    reason: 'Your shop does not use strong acid on lacquer (a shop setting).',
  },
  {
    id: 'acid-on-sound-lacquer', verdict: 'withCare', safety: false, zones: onWheel, finishes: lacquered, traits: ['strongAcid'],
    school: { name: 'acidOnLacquer', value: true },
    reason: 'Diluted acid is used on sound lacquer every day, but not for long.',
    care: 'Test spot first, one wheel at a time, rinse fully before anything alkaline.', dwellCap: 'shortest', testSpot: true,
  },
  {
    id: 'acid-too-strong', verdict: 'no', safety: false, zones: onWheel, traits: ['strongAcid'], strengthAbove: 0.21,
    reason: 'Stronger than 1:4 acid attacks lacquer as well.',
  },
  {
    id: 'acid-too-long', verdict: 'no', safety: false, zones: onWheel, traits: ['strongAcid'], dwellAboveSeconds: 120,
    reason: 'Strong acid longer than two minutes harms any finish.',
  },
  {
    id: 'acid-on-diamond-cut', verdict: 'no', safety: false, zones: onWheel, finishes: ['diamondCut'], traits: ['strongAcid', 'mildAcid'],
    reason: 'A machined face fails from its cut edge inwards; acid shortens its life.',
  },
  {
    id: 'acid-on-magnesium', verdict: 'no', safety: false, zones: onWheel, finishes: ['magnesium'], traits: ['mildAcid'],
    reason: 'Magnesium reacts even with mild acid.',
  },
  {
    id: 'mild-acid-on-bare', verdict: 'withCare', safety: false, zones: onWheel, finishes: bareFinishes, traits: ['mildAcid'],
    reason: 'Even a mild acid can leave a light haze on bare metal.',
    care: 'Test spot on this metal first, short contact, rinse at once.', dwellCap: 'shortest', testSpot: true,
  },
  {
    id: 'mild-acid-on-open-lacquer', verdict: 'withCare', safety: false, zones: onWheel, conditions: openConditions, traits: ['mildAcid'],
    reason: 'Open edges let acid under the lacquer.',
    care: 'Short contact, rinse at once.', dwellCap: 'shortest',
  },
] // prettier-ignore
