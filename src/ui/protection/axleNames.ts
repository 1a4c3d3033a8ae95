import type { Axle } from '@/core/wheel/position'

export const axleNames: Record<Axle, string> = { front: 'fronts', rear: 'rears' }
