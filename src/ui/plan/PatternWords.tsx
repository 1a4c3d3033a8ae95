import { useTranslations } from 'next-intl'
import type { Translator } from '@/i18n/translator'
import type { OrderPattern } from '@/core/plan/plan'
import type { Spoken } from '@/i18n/spoken'

/** What a calmer order gives up against the shortest that is known; empty where it gives up nothing worth a word. */
function givenUp(
  { kind, wheelChanges, shortestWheelChanges, seconds, shortestSeconds }: OrderPattern,
  t: Translator,
): string {
  const minutes = Math.round((seconds - shortestSeconds) / 60)
  if (kind === 'shortest' || kind === 'oneAtATime' || minutes < 1 || shortestWheelChanges <= wheelChanges)
    return ''
  return t('plan.bounds.givenUp', { minutes, changes: shortestWheelChanges, instead: wheelChanges })
}

/** The order in a sentence or two, to be kept in mind, and why it is no shorter. */
export function PatternWords({ pattern }: { pattern: Spoken<OrderPattern> }) {
  const t = useTranslations()
  const why = [pattern.because ?? '', givenUp(pattern, t)].filter((text) => text !== '').join(' ')
  return (
    <div className="pattern-words">
      <p>{pattern.sentences.join(' ')}</p>
      {why !== '' && <p className="soft">{why}</p>}
    </div>
  )
}
