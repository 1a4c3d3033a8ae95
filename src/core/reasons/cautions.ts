import { message, type Message } from '@/core/message/message'
import type { Family } from '@/core/chemistry/family'

/** Short cautions of a family; the label and the safety data sheet overrule them. */
export const cautionsFor = (family: Family): Message[] =>
  family.hazards.map((hazard) => message(`steps.cautions.${hazard}`))

/** Cautions that belong to a kind of step, whatever the product. */
export const stepCautions = {
  label: message('steps.cautions.label'),
  lance: message('steps.cautions.lance'),
  hot: message('steps.cautions.hot'),
  neverMix: message('steps.cautions.neverMix'),
  jack: message('steps.cautions.jack'),
  torque: message('steps.cautions.torque'),
  seats: message('steps.cautions.seats'),
  runOff: message('steps.cautions.runOff'),
  brakes: message('steps.cautions.brakes'),
} as const
