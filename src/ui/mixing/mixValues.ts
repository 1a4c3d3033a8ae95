import type { DilutionChoice, DilutionReading } from '@/core/dilution/readDilution'
import type { Mix } from '@/core/dilution/mix'
import type { Spoken } from '@/i18n/spoken'
import type { HoldsText } from '../form/ContainerQuestion'

/** A bottle as the bench holds it: what a person typed, as text. */
export interface MixValues {
  readonly productId: string
  /** The strength in any way of saying it. */
  readonly said: string
  /** Which of several readings is meant, by its label; null: nothing was asked. */
  readonly answer: string | null
  readonly totalMillilitres: string
  readonly holds: HoldsText
  readonly mixedBy: string
}

/** The reading that is meant; undefined: none was chosen, or it is not one of them any more. */
export const choiceOf = (
  reading: Spoken<DilutionReading>,
  answer: string | null,
): Spoken<DilutionChoice> | undefined =>
  reading.kind === 'open' ? reading.choices.find(({ label }) => label === answer) : undefined

/** What is mixed; null: the strength does not say it yet. */
export function mixOf(reading: Spoken<DilutionReading>, answer: string | null): Mix | null {
  if (reading.kind === 'mix') return reading.mix
  return choiceOf(reading, answer)?.mix ?? null
}
