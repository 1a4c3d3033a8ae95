import type { DueItem } from '@/core/due'
import { exhaustive } from '@/core/exhaustive'

/** What the link says: a key of the messages. */
type RemedyName = `due.actions.${'planWash' | 'plan' | 'changeWheels' | 'open'}`

/** Where one tap leads to do something about a due thing; null: nowhere. */
export function remedyLink({ remedy, wheelSetId, kind }: Pick<DueItem, 'remedy' | 'wheelSetId' | 'kind'>): {
  readonly href: string
  readonly name: RemedyName
} | null {
  switch (remedy.kind) {
    case 'visit':
      return {
        href: `/wheels/${wheelSetId}/intake?service=${remedy.service}`,
        name: kind === 'reviving' ? 'due.actions.planWash' : 'due.actions.plan',
      }
    case 'changeWheels':
      return { href: `/wheels/${wheelSetId}/change`, name: 'due.actions.changeWheels' }
    case 'place':
      return {
        href: { tools: '/cabinet/tools', bottles: '/mixing', water: '/due/water' }[remedy.place],
        name: 'due.actions.open',
      }
    case 'none':
      return null
    default:
      return exhaustive(remedy)
  }
}
