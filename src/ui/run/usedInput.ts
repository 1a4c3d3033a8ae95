import type { FinishInput } from '@/contracts/intake'

/** How the use of a product differed from the plan, as it was typed. */
export interface Correction {
  /** Millilitres of concentrate; empty: as planned. */
  readonly millilitres: string
  readonly isEmptied: boolean
}

export const asPlanned: Correction = { millilitres: '', isEmptied: false }

/** What the server is told: only what differs. A text that is no number goes on as such, and is refused by name. */
export const usedInput = (
  corrections: Readonly<Record<string, Correction>>,
): NonNullable<FinishInput['used']> =>
  Object.entries(corrections).flatMap(([productId, { millilitres, isEmptied }]) => {
    const text = millilitres.trim().replace(',', '.')
    return text === '' && !isEmptied
      ? []
      : [
          {
            productId,
            ...(text === '' ? {} : { concentrateMillilitres: Number(text) }),
            ...(isEmptied ? { isEmptied } : {}),
          },
        ]
  })
