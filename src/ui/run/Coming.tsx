import { useTranslations } from 'next-intl'
import type { Card, Step } from '@/core/plan/plan'
import { useSay } from '@/i18n/useSay'
import { cardTitle, sayLine } from './cardWords'

interface ComingProps {
  /** The cards after the one in hand. */
  readonly cards: readonly Card[]
  readonly stepOf: (id: string) => Step | undefined
  /** Everything up to a card, and the card itself, is done. */
  readonly doneUpTo: (card: Card) => void
}

/** What comes after the card in hand; who has worked ahead says up to where. */
export function Coming({ cards, stepOf, doneUpTo }: ComingProps) {
  const t = useTranslations()
  const say = useSay()

  if (cards.length === 0) return null
  return (
    <details className="run-coming">
      <summary>{t('bay.coming.title', { count: cards.length })}</summary>
      <ol>
        {cards.map((card) => {
          const steps = card.taps.flatMap(({ stepIds }) => stepIds.flatMap((id) => stepOf(id) ?? []))
          const title = cardTitle(card, steps, t, say)
          return (
            <li key={steps[0]?.id}>
              <span>
                <b>{title}</b>{' '}
                {card.corner !== null && steps.map((step) => sayLine(step, t, say)).join(' · ')}
              </span>
              <button type="button" className="link-button" onClick={() => doneUpTo(card)}>
                {t('bay.coming.doneUpTo')}
              </button>
            </li>
          )
        })}
      </ol>
    </details>
  )
}
