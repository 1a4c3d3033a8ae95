'use client'

import { currentTime } from '@/clock'
import { Check, Clock } from 'lucide-react'
import { Link } from '@/ui/Link'
import type { DueItem } from '@/core/due/dueItem'
import type { Problem } from '@/core/result'
import { ActionButton } from '../form/ActionButton'
import { remedyLink } from './remedyLink'

type Answer = Promise<{ readonly problems: readonly Problem[] }>

export interface DueActionsProps {
  readonly item: Pick<DueItem, 'key' | 'kind' | 'what' | 'remedy' | 'wheelSetId' | 'canBeDone'>
  readonly actions: {
    readonly putOff: (input: { key: string; until: string }) => Answer
    readonly tickOff: (key: string) => Answer
  }
}

const snoozes = [
  { days: 7, name: '1 week' },
  { days: 30, name: '1 month' },
] as const

/** What to do about a due thing: the one thing in one tap, else put it off or say that it is done. */
export function DueActions({ item, actions }: DueActionsProps) {
  const remedy = remedyLink(item)
  return (
    <div className="due-acts">
      {remedy && (
        <Link href={remedy.href} className="btn btn-outline-secondary">
          {remedy.name}
        </Link>
      )}
      {item.canBeDone && (
        <ActionButton
          action={() => actions.tickOff(item.key)}
          className="btn btn-quiet"
          label={`Done: ${item.what}`}
        >
          <Check aria-hidden size={18} /> Done
        </ActionButton>
      )}
      {snoozes.map(({ days, name }) => (
        <ActionButton
          key={days}
          action={() =>
            actions.putOff({
              key: item.key,
              until: new Date(currentTime().getTime() + days * 86_400_000).toISOString(),
            })
          }
          className="btn btn-quiet"
          label={`Put off ${name}: ${item.what}`}
        >
          <Clock aria-hidden size={16} /> {name}
        </ActionButton>
      ))}
    </div>
  )
}
