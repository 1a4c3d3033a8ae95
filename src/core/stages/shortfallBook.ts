import type { Shortfall } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'

/** Says a thing that stays undone at some wheels. */
export type Miss = (corners: readonly Position[], text: string, mend: string) => void

/** What a plan cannot do, each thing once with all its wheels. */
export class ShortfallBook {
  readonly #byText = new Map<string, Shortfall>()

  readonly miss: Miss = (corners, text, mend) => {
    const known = this.#byText.get(text)
    this.#byText.set(text, {
      corners: [...new Set([...(known?.corners ?? []), ...corners])],
      text,
      mend: known?.mend ?? mend,
    })
  }

  all(): Shortfall[] {
    return [...this.#byText.values()]
  }
}
