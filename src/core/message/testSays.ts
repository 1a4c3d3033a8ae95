import type { Said, Sayable } from './message'

/** Whether something says a message, itself or inside it; a key may be a place: `reasons.pin`. For tests. */
export function says(said: Said | null | undefined, key: string): boolean {
  const inside = (value: Sayable | number | Date | undefined): boolean => {
    if (typeof value !== 'object' || value instanceof Date) return false
    if (Array.isArray(value)) return value.some(inside)
    if ('key' in value) return says(value, key)
    if ('capital' in value) return inside(value.capital)
    if ('either' in value) return value.either.some(inside)
    return 'shortest' in value && value.shortest.some(inside)
  }
  if (!said || typeof said === 'string') return false
  return said.key === key || said.key.startsWith(`${key}.`) || Object.values(said.values ?? {}).some(inside)
}
