import type { Rule } from '../rule'
import { wipedOn } from './protections'
import { onWheel } from './surfaces'

export const protectionRules: readonly Rule[] = [
  {
    id: 'stripping-live-protection', verdict: 'withCare', safety: false, zones: onWheel, wear: ['strips'], onLiveProtection: true,
    reason: 'It strips the protection that is on the wheel and makes the next wash easy.',
    care: 'Plan to protect again the same day.',
  },
  {
    id: 'stripping-a-coated-tyre', verdict: 'no', safety: false, zones: ['tyre'], wear: ['strips'], onLiveProtection: true,
    reason: 'It strips the coating off the tyre; a coated tyre gets a mild cleaner.',
  },
  {
    id: 'nothing-on-a-curing-coating', verdict: 'no', safety: false, zones: onWheel, onCuringProtection: true,
    reason: 'The protection still cures: no water and no chemistry before its time.',
  },
  {
    id: 'wipe-on-wet', verdict: 'no', safety: false, zones: onWheel, families: wipedOn, onWetWheel: true,
    reason: 'Moisture under it spoils it: the wheel has to be dry.',
  },
  {
    id: 'protection-over-residue', verdict: 'no', safety: false, zones: onWheel, purpose: 'protect', overResidue: true,
    reason: 'Residue of a cleaner stops protection from bonding: rinse fully first.',
  },
  {
    id: 'dressing-over-brown', verdict: 'no', safety: false, zones: ['tyre'], purpose: 'protect', overResidue: true,
    reason: 'On brown rubber a dressing does not take: clean until the foam stays white.',
  },
] // prettier-ignore
