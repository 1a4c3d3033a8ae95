import type { Said, Sayable } from './message'

/** The same with another name in the place of one, wherever it is named. */
export function withName(said: Said, name: string, instead: string): Said {
  const rename = (value: Sayable | number | Date): Sayable | number | Date => {
    if (value === name) return instead
    if (typeof value !== 'object' || value instanceof Date) return value
    if (Array.isArray(value)) return value.map((one) => rename(one as Sayable) as Sayable)
    if ('key' in value) return withName(value, name, instead)
    if ('capital' in value) return { capital: rename(value.capital) as Sayable }
    if ('shortest' in value)
      return { ...value, shortest: value.shortest.map((one) => rename(one) as Sayable) }
    if ('either' in value) return { either: value.either.map((one) => rename(one) as Sayable) }
    return value
  }
  if (typeof said === 'string') return said.replaceAll(name, instead)
  if (said.values === undefined) return said
  const values = Object.entries(said.values).map(([key, value]) => [key, rename(value)] as const)
  return { ...said, values: Object.fromEntries(values) }
}
