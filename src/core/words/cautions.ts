import type { Family, Hazard } from '@/core/chemistry/family'

const hazardCautions: Record<Hazard, string> = {
  irritant: 'Nitrile gloves and eye protection.',
  corrosive: 'Corrosive: on skin or eyes rinse long with water and get medical advice.',
  fumes: 'Mask or open doors.',
  flammable: 'No flame, no hot brakes.',
}

/** Short cautions of a family; the label and the safety data sheet overrule them. */
export const cautionsFor = (family: Family): string[] =>
  family.hazards.map((hazard) => hazardCautions[hazard])

/** Cautions that belong to a kind of step, whatever the product. */
export const stepCautions = {
  label: 'The label and the safety data sheet overrule this plan.',
  lance: 'Try the lance into the air first, away from the car and people.',
  hot: 'Brakes stay hot after a drive; do not touch the disc.',
  neverMix: 'Never mix products in a bottle.',
  jack: 'Never under a jack alone; by the vehicle maker’s handbook, in doubt a qualified workshop.',
  torque: 'The figure is in the handbook; note the re-check.',
  seats: 'Seats, threads and the pad stay dry: no grease, no dressing, unless the maker says so.',
  runOff:
    'Run-off with acid, solvent or iron remover in it goes where local rules let it, not down a street drain.',
  brakes: 'Nothing slippery on discs, pads or tread.',
} as const
