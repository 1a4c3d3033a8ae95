import { bareFinishes } from '@/core/finishes/finish'
import type { Rule } from '../rule'
import { onWheel, softSkins } from './surfaces'

export const ironRules: readonly Rule[] = [
  {
    id: 'iron-on-diamond-cut', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['diamondCut'], traits: ['ironReactive'],
    reason: 'Repeated iron remover shortens the life of a machined face.',
    care: 'Shortest dwell of the label, rinse at once, not at every visit.', dwellCap: 'shortest',
  },
  {
    id: 'iron-on-bare', verdict: 'withCare', safety: false, zones: onWheel, finishes: bareFinishes, traits: ['ironReactive'],
    reason: 'Some iron removers dull bare, anodised or plated metal.',
    care: 'Test spot on this metal first, short dwell.', dwellCap: 'shortest', testSpot: true,
  },
  {
    id: 'iron-under-peeling-lacquer', verdict: 'withCare', safety: false, zones: onWheel, conditions: ['peeling', 'corroded'], traits: ['ironReactive'],
    reason: 'It creeps under lifted lacquer and works on below it.',
    care: 'Short dwell, rinse from the damaged edge outwards.', dwellCap: 'shortest',
  },
  {
    id: 'iron-on-film', verdict: 'withCare', safety: false, zones: onWheel, families: ['ironRemover', 'ironTarRemover', 'ironClayLubricant'],
    filmAbove: 1, school: { name: 'ironOn', value: 'dirty' },
    reason: 'Over road film an iron remover reaches only the top layer.',
    care: 'Expect a second round after the wash.',
  },
  {
    id: 'iron-after-the-wash', verdict: 'no', safety: false, zones: onWheel, families: ['ironRemover', 'ironTarRemover', 'ironClayLubricant'],
    filmAbove: 1, school: { name: 'ironOn', value: 'afterWash' },
    reason: 'Your shop uses iron remover on the washed wheel: on film it only reaches the top layer (a shop setting).',
  },
  {
    id: 'gel-on-diamond-cut', verdict: 'no', safety: false, zones: onWheel, finishes: ['diamondCut'], families: ['heavyGel', 'ironTarRemover'],
    reason: 'Neutral says nothing about strength: a heavy gel is too much for a machined face.',
  },
  {
    id: 'stripping-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, wear: ['strips'], purpose: 'clean',
    reason: 'What strips protection is too strong for film, plastic covers and the resin of carbon fibre.',
  },
  {
    id: 'stripping-on-open-lacquer', verdict: 'withCare', safety: false, zones: onWheel, conditions: ['chipped', 'peeling', 'corroded', 'curbRashed'],
    wear: ['strips'], purpose: 'clean',
    reason: 'A strong cleaner creeps under open edges.',
    care: 'Short dwell, rinse from the damaged edge outwards.', dwellCap: 'shortest',
  },
] // prettier-ignore
