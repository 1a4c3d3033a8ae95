import { useSay } from '@/i18n/useSay'
import { useTranslations } from 'next-intl'
import type { ActionButtonProps } from '@/ui/form/ActionButton'
import { ActionButton } from '@/ui/form/ActionButton'
import type { ShownDue } from './DueRows'

interface PutAwayProps {
  readonly items: readonly ShownDue[]
  /** Those that are not shown counted, too. */
  readonly count: number
  readonly bringBack: (key: string) => ReturnType<ActionButtonProps['action']>
}

/** What a person has put off or done already. */
export function PutAway({ items, count, bringBack }: PutAwayProps) {
  const t = useTranslations()

  const say = useSay()
  if (items.length === 0) return null
  return (
    <details className="month-head">
      <summary>
        {t('due.settled.title', { count, all: String(count <= items.length), shown: items.length })}
      </summary>
      <ul className="rows">
        {items.map((item) => (
          <li key={item.key} className="row-item stock-row">
            <span>
              {say(item.what)}
              {item.setName && `, ${item.vehicleName}, ${item.setName}`}
            </span>
            <ActionButton
              action={bringBack.bind(null, item.key)}
              className="btn btn-quiet"
              label={t('due.settled.restoreWhat', { what: say(item.what) })}
            >
              {t('due.settled.restore')}
            </ActionButton>
          </li>
        ))}
      </ul>
    </details>
  )
}
