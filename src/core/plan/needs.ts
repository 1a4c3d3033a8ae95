import type { Surface } from '@/core/chemistry/family'
import type { Soil } from '@/core/soils/soil'
import { wheelZones, type Zone } from '@/core/wheel/zone'
import type { StageKind } from './plan'

/** What a stage has to take off, and where. */
export interface Need {
  readonly kind: Extract<StageKind, 'arch' | 'tyre' | 'wash' | 'iron' | 'mineral' | 'tar'>
  readonly surface: Surface
  readonly zones: readonly Zone[]
  readonly soils: readonly Soil[]
}

const wheelAndCaliper: readonly Zone[] = [...wheelZones, 'caliper']

/** Cleaning needs in working order: dirtiest and highest first, decontamination on the washed wheel, solvents last. */
export const cleaningNeeds: readonly Need[] = [
  { kind: 'arch', surface: 'arch', zones: ['arch'], soils: ['film', 'organic'] },
  { kind: 'tyre', surface: 'tyre', zones: ['tyre'], soils: ['tyreBrowning', 'film'] },
  { kind: 'wash', surface: 'wheel', zones: wheelAndCaliper, soils: ['film', 'freshDust', 'organic'] },
  { kind: 'iron', surface: 'wheel', zones: wheelAndCaliper, soils: ['bondedDust'] },
  { kind: 'mineral', surface: 'wheel', zones: wheelAndCaliper, soils: ['mineral'] },
  { kind: 'tar', surface: 'wheel', zones: wheelAndCaliper, soils: ['tar'] },
]
