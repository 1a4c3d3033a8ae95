'use client'

import { useSay } from '@/i18n/useSay'
import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { Check, Clock } from 'lucide-react'
import { Link } from '@/ui/Link'
import type { DueItem } from '@/core/due'
import type { SaidProblem } from '@/i18n/saidProblems'
import { ActionButton } from '../form/ActionButton'
import { remedyLink } from './remedyLink'

type ActionResult = Promise<{ readonly problems: readonly SaidProblem[] }>

export interface DueActionsProps {
  readonly item: Pick<DueItem, 'key' | 'kind' | 'what' | 'remedy' | 'wheelSetId' | 'canBeDone'>
  readonly actions: {
    readonly putOff: (input: { key: string; until: string }) => ActionResult
    readonly tickOff: (key: string) => ActionResult
  }
}

const snoozes = [
  { days: 7, key: 'week' },
  { days: 30, key: 'month' },
] as const

/** What to do about a due thing: the one thing in one tap, else put it off or say that it is done. */
export function DueActions({ item, actions }: DueActionsProps) {
  const t = useTranslations()

  const say = useSay()
  const remedy = remedyLink(item)
  return (
    <div className="due-acts">
      {remedy && (
        <Link href={remedy.href} className="btn btn-outline-secondary">
          {t(remedy.name)}
        </Link>
      )}
      {item.canBeDone && (
        <ActionButton
          action={() => actions.tickOff(item.key)}
          className="btn btn-quiet"
          label={t('due.actions.doneWith', { what: say(item.what) })}
        >
          <Check aria-hidden size={18} /> {t('due.actions.done')}
        </ActionButton>
      )}
      {snoozes.map(({ days, key }) => (
        <ActionButton
          key={days}
          action={() =>
            actions.putOff({
              key: item.key,
              until: new Date(currentTime().getTime() + days * 86_400_000).toISOString(),
            })
          }
          className="btn btn-quiet"
          label={t('due.actions.postpone', { time: t(`due.actions.${key}`), what: say(item.what) })}
        >
          <Clock aria-hidden size={16} /> {t(`due.actions.${key}`)}
        </ActionButton>
      ))}
    </div>
  )
}
