import { sayWhere } from '@/core/reasons/sayCorners'
import type { Position } from '@/core/wheel/position'
import type { Say } from '@/i18n/sayer'
import type { SpokenTiming } from '@/i18n/spoken'
import type { Translator } from '@/i18n/translator'

/** More wheels than this are counted, not named. */
const maxNamed = 2

/** What the wet limit asks of a stage, and at which of its wheels; `where` is null where it is all of them. */
export interface StageSaying {
  readonly text: string
  readonly isNotNow: boolean
  readonly where: string | null
}

/** What the wet limit asks for, wheels with the same words together; silent where a whole wheel simply stays wet. */
export function stageSayings(
  timings: readonly SpokenTiming[],
  positions: readonly Position[],
  t: Translator,
  say: Say,
): readonly StageSaying[] {
  const byText = new Map<string, SpokenTiming[]>()
  for (const timing of timings) {
    const { sections, mists, freshCoats = 1, isNotNow } = timing
    if (sections === 1 && mists === 0 && freshCoats === 1 && !isNotNow) continue
    byText.set(timing.text, [...(byText.get(timing.text) ?? []), timing])
  }
  return [...byText].map(([text, alike]) => {
    const corners = alike.map(({ corner }) => corner)
    return {
      text,
      isNotNow: alike.some(({ isNotNow }) => isNotNow),
      where:
        alike.length === timings.length
          ? null
          : alike.length <= maxNamed
            ? corners.map((corner) => t(`terms.wheel.${corner}`)).join(', ')
            : say(sayWhere(corners, positions)),
    }
  })
}
