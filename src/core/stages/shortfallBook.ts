import type { Said } from '@/core/message/message'
import type { Shortfall } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'

/** Says a thing that stays undone at some wheels. */
export type Miss = (corners: readonly Position[], text: Said, fix: Said) => void

/** What a plan cannot do, each thing once with all its wheels. */
export class ShortfallBook {
  readonly #byText = new Map<string, Shortfall>()

  readonly miss: Miss = (corners, text, fix) => {
    const mark = JSON.stringify(text)
    const known = this.#byText.get(mark)
    this.#byText.set(mark, {
      corners: [...new Set([...(known?.corners ?? []), ...corners])],
      text,
      fix: known?.fix ?? fix,
    })
  }

  all(): Shortfall[] {
    return [...this.#byText.values()]
  }
}
