import { bareFinishes, openConditions } from '@/core/finishes/finish'
import { wheelZones } from '@/core/wheel/zone'
import type { Rule } from './rule'

const onWheel = [...wheelZones, 'caliper'] as const
const lacquered = ['paintedGloss', 'glossBlack', 'matte', 'powderCoat', 'diamondCut', 'paintedSteel'] as const

/** What the trade holds about finishes and chemistry, one row each. */
export const ruleBook: readonly Rule[] = [
  {
    id: 'hot-surface', verdict: 'no', safety: true, surfaceAboveCelsius: 35,
    reason: 'Chemistry on a hot wheel dries, stains and reacts too fast. Let it cool until it is cool to the touch.',
  },
  {
    id: 'strong-acid-on-bare', verdict: 'no', safety: false, zones: onWheel, finishes: bareFinishes, traits: ['strongAcid'],
    reason: 'Strong acid hazes or etches bare, anodised or plated metal.',
  },
  {
    id: 'strong-acid-on-open-lacquer', verdict: 'no', safety: false, zones: onWheel, conditions: openConditions, traits: ['strongAcid'],
    reason: 'Acid gets under lacquer that is chipped, peeling or not known to be sound.',
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
    care: 'Test spot first, one wheel at a time, rinse fully before anything alkaline.',
  },
  {
    id: 'strong-alkali-on-bare', verdict: 'no', safety: false, zones: onWheel, finishes: bareFinishes, traits: ['strongAlkali'],
    reason: 'Strong alkali corrodes and dulls bare, anodised or plated metal.',
  },
  {
    id: 'strong-alkali-on-open-lacquer', verdict: 'no', safety: false, zones: onWheel, conditions: openConditions, traits: ['strongAlkali'],
    reason: 'Strong alkali creeps under damaged or unknown lacquer.',
  },
  {
    id: 'acid-on-diamond-cut', verdict: 'no', safety: false, zones: onWheel, finishes: ['diamondCut'], traits: ['strongAcid', 'mildAcid'],
    reason: 'A machined face fails from its cut edge inwards; acid shortens its life.',
  },
  {
    id: 'iron-on-diamond-cut', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['diamondCut'], traits: ['ironReactive'],
    reason: 'Repeated iron remover shortens the life of a machined face.',
    care: 'Shortest dwell of the label, rinse at once, not at every visit.',
  },
  {
    id: 'iron-on-bare', verdict: 'withCare', safety: false, zones: onWheel, finishes: bareFinishes, traits: ['ironReactive'],
    reason: 'Some iron removers dull bare metal.',
    care: 'Test spot at the back of a spoke, short dwell.',
  },
  {
    id: 'acid-on-magnesium', verdict: 'no', safety: false, zones: onWheel, finishes: ['magnesium'], traits: ['mildAcid'],
    reason: 'Magnesium reacts even with mild acid.',
  },
  {
    id: 'solvent-on-film', verdict: 'no', safety: false, zones: onWheel, finishes: ['filmWrapped', 'plasticTrim'], traits: ['solvent'],
    reason: 'Solvent swells film, dip coats and plastic covers.',
  },
  {
    id: 'strong-chemistry-on-film', verdict: 'no', safety: false, zones: onWheel, finishes: ['filmWrapped', 'carbonFibre'], traits: ['strongAcid', 'strongAlkali'],
    reason: 'Strong chemistry lifts film edges and clouds the resin of carbon fibre.',
  },
  {
    id: 'gloss-on-matte', verdict: 'no', safety: false, zones: onWheel, finishes: ['matte'], traits: ['gloss'],
    reason: 'Gloss agents make a matte finish patchy, and it cannot be polished back.',
  },
  {
    id: 'stripping-live-protection', verdict: 'withCare', safety: false, zones: onWheel, strips: true, onLiveProtection: true,
    reason: 'It strips the protection that is on the wheel.',
    care: 'Plan to protect again the same day.',
  },
  {
    id: 'nothing-slippery-on-brakes', verdict: 'no', safety: true, zones: ['rotor', 'caliper'], purpose: 'protect',
    reason: 'Nothing slippery on discs, pads or near the braking face.',
  },
  {
    id: 'no-dressing-on-motorcycle-tyres', verdict: 'no', safety: true, zones: ['tyre'], purpose: 'protect', vehicleKinds: ['motorcycle'],
    reason: 'Motorcycle tyres are never dressed: the rider leans on the sidewall.',
  },
] // prettier-ignore
