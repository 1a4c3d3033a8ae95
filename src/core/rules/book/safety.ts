import type { Rule } from '../rule'

export const safetyRules: readonly Rule[] = [
  {
    id: 'no-fluoride', verdict: 'no', safety: true, fluoride: true,
    reason: 'Acids that contain fluoride burn deep without a warning. This program never plans with them.',
  },
  {
    id: 'fluoride-by-its-words', verdict: 'no', safety: true, fluorideByWords: true,
    reason: 'Its name or note speaks of fluoride. Read the safety data sheet and say at the product whether it names any; until then nothing is planned with it.',
  },
  {
    id: 'chlorine-by-its-words', verdict: 'no', safety: true, chlorineByWords: true,
    reason: 'Its name or note mentions chlorine bleach. Bleach and acid make a poisonous gas, and bleach attacks bare metal, so plans never use it. If the safety data sheet lists no chlorine, correct the note.',
  },
  {
    id: 'silica-spray-on-motorcycles', verdict: 'no', safety: true, families: ['sprayRinseSilica'], vehicleKinds: ['motorcycle'],
    reason: 'Sprayed on a motorcycle wheel it gets on the brake discs. Use a protection that is wiped on with a cloth.',
  },
  {
    id: 'nothing-slippery-on-brakes', verdict: 'no', safety: true, zones: ['rotor', 'caliper'], purpose: 'protect',
    reason: 'Nothing slippery on discs, pads or near the braking face.',
  },
  {
    id: 'inhibitor-near-brakes', verdict: 'no', safety: true, families: ['discInhibitor'],
    reason: 'What can reach pads or the braking face is for whoever answers for the brakes to decide, not for a plan.',
  },
  {
    id: 'no-dressing-on-motorcycle-tyres', verdict: 'no', safety: true, zones: ['tyre'], purpose: 'protect', vehicleKinds: ['motorcycle'],
    reason: 'Motorcycle tyres are never dressed: the rider leans on the sidewall.',
  },
  {
    id: 'chemistry-on-the-disc', verdict: 'withCare', safety: true, zones: ['rotor'], purpose: 'clean',
    reason: 'The disc is for braking; chemistry left in its vents comes out on the pads.',
    care: 'Keep it off the disc as far as you can and rinse the disc long. Brake gently before the road.',
  },
  {
    id: 'one-product-one-sprayer', verdict: 'no', safety: true, inUsedSprayer: true,
    reason: 'Never two products in one sprayer: rests react. Acid with chlorine bleach sets free a poisonous gas.',
  },
] // prettier-ignore
