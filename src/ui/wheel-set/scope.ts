import type { Translator } from '@/i18n/translator'
import { axleOf, type Position } from '@/core/wheel/position'

/** Which wheels an edit goes to: all, an axle, or one. */
export type Scope = 'all' | 'frontAxle' | 'rearAxle' | Position

export interface ScopeChoice {
  readonly scope: Scope
  readonly name: string
}

export const positionsIn = (scope: Scope, positions: readonly Position[]): Position[] => {
  switch (scope) {
    case 'all':
      return [...positions]
    case 'frontAxle':
      return positions.filter((position) => axleOf(position) === 'front')
    case 'rearAxle':
      return positions.filter((position) => axleOf(position) === 'rear')
    default:
      return positions.filter((position) => position === scope)
  }
}

/** The scopes that make sense for these wheels, widest first. */
export function scopesFor(positions: readonly Position[], t: Translator): ScopeChoice[] {
  const fronts = positionsIn('frontAxle', positions)
  const rears = positionsIn('rearAxle', positions)
  const axles = fronts.length > 1 && rears.length > 1
  return [
    ...(positions.length > 1 ? [{ scope: 'all' as const, name: t('terms.wheels.all') }] : []),
    ...(axles ? [{ scope: 'frontAxle' as const, name: t('terms.wheels.fronts') }] : []),
    ...(axles ? [{ scope: 'rearAxle' as const, name: t('terms.wheels.rears') }] : []),
    ...positions.map((position) => ({ scope: position, name: t(`terms.position.${position}`) })),
  ]
}
