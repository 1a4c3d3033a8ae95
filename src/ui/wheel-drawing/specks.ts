import type { Grade, Soil } from '@/core/soils/soil'

export interface Speck {
  readonly x: number
  readonly y: number
  readonly r: number
}

/** A small repeatable spread of numbers, so that server and browser draw the same dirt. */
function spread(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

const perGrade: Record<Grade, number> = { 0: 0, 1: 10, 2: 26, 3: 52, 4: 90 }

/** Specks of a soil within a ring, denser where worse. */
export function specksOf(soil: Soil, grade: Grade, inner: number, outer: number): Speck[] {
  const next = spread(Array.from(soil).reduce((sum, letter) => sum * 31 + letter.charCodeAt(0), grade + 7))
  return Array.from({ length: perGrade[grade] }, () => {
    const angle = next() * 2 * Math.PI
    const radius = Math.sqrt(inner ** 2 + next() * (outer ** 2 - inner ** 2))
    const size = 0.45 + next() * (soil === 'tar' ? 1.6 : 0.9)
    return {
      x: Math.round(radius * Math.cos(angle) * 100) / 100,
      y: Math.round(radius * Math.sin(angle) * 100) / 100,
      r: Math.round(size * 100) / 100,
    }
  })
}

/** All specks as one outline: hundreds of elements of their own would make the page heavy. */
export const specksPath = (specks: readonly Speck[]): string =>
  specks
    .map(({ x, y, r }) => {
      const across = Math.round(r * 200) / 100
      return `M${Math.round((x - r) * 100) / 100} ${y}a${r} ${r} 0 1 0 ${across} 0a${r} ${r} 0 1 0 ${-across} 0`
    })
    .join('')
