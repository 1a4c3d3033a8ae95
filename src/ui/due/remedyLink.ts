import type { DueItem } from '@/core/due/dueItem'
import { exhaustive } from '@/core/exhaustive'

/** Where one tap leads to do something about a due thing; null: nowhere. */
export function remedyLink({
  remedy,
  wheelSetId,
  kind,
}: Pick<DueItem, 'remedy' | 'wheelSetId' | 'kind'>): { readonly href: string; readonly name: string } | null {
  switch (remedy.kind) {
    case 'visit':
      return {
        href: `/wheels/${wheelSetId}/intake?service=${remedy.service}`,
        name: kind === 'reviving' ? 'Plan the wash' : 'Plan for it',
      }
    case 'changeWheels':
      return { href: `/wheels/${wheelSetId}/change`, name: 'Change them' }
    case 'place':
      return {
        href: { tools: '/cabinet/tools', bottles: '/bench', water: '/due/water' }[remedy.place],
        name: 'Open',
      }
    case 'none':
      return null
    default:
      return exhaustive(remedy)
  }
}
