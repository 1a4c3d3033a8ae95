import type { Rule } from '../rule'
import { onWheel } from './surfaces'

export const matteRules: readonly Rule[] = [
  {
    id: 'gloss-on-matte', verdict: 'no', safety: false, zones: onWheel, finishes: ['matte'], traits: ['gloss'],
    reason: 'Gloss agents make a matte finish patchy, and it cannot be polished back.',
  },
  {
    id: 'coating-not-for-matte', verdict: 'no', safety: false, zones: onWheel, finishes: ['matte'], purpose: 'protect',
    families: ['spraySealant', 'sprayRinseSilica', 'ceramicCoating', 'coatingTopper'],
    reason: 'Matte and satin take only a protection that is made for them.',
  },
  {
    id: 'no-rubbing-matte', verdict: 'no', safety: false, zones: onWheel, finishes: ['matte'], toolKinds: ['clay'],
    reason: 'Rubbing polishes a matte finish, and shiny patches stay.',
  },
  {
    id: 'no-abrasive-on-matte', verdict: 'no', safety: false, zones: onWheel, finishes: ['matte'], traits: ['abrasive'],
    reason: 'Clay and polish make a matte finish shiny, and it cannot be undone.',
  },
  {
    id: 'matte-without-pressure', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['matte'], purpose: 'clean',
    reason: 'Rubbing makes matte shiny in patches.',
    care: 'No rubbing: soft media without pressure, dwell and rinse do the work.',
  },
  {
    id: 'dressing-beside-matte', verdict: 'withCare', safety: false, zones: ['tyre'], purpose: 'protect', besideFinishes: ['matte'],
    reason: 'Dressing smears on matte are hard to remove.',
    care: 'Prime the applicator and work from the tyre’s outer edge inwards.',
  },
] // prettier-ignore
