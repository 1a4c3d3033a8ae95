import type { Rule } from '../rule'
import { onWheel, softSkins } from './surfaces'

export const solventRules: readonly Rule[] = [
  {
    id: 'solvent-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, traits: ['solvent'],
    reason: 'Solvent swells film, dip coats and plastic covers and clouds the resin of carbon fibre.',
  },
  {
    id: 'solvent-on-wet', verdict: 'no', safety: false, zones: onWheel, families: ['tarRemover', 'ironTarRemover'], onWetWheel: true,
    reason: 'Water keeps a solvent off the tar: the wheel has to be dry.',
  },
  {
    id: 'solvent-on-peeling-lacquer', verdict: 'withCare', safety: false, zones: onWheel, conditions: ['peeling', 'corroded'], traits: ['solvent'],
    reason: 'Solvent softens lacquer that has let go.',
    care: 'On the lump only, with a cloth, not sprayed.', dwellCap: 'shortest',
  },
] // prettier-ignore
