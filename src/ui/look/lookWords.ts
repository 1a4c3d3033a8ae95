import type { LookGrade } from '@/core/protection/record'

export const lookGrades: readonly LookGrade[] = [4, 3, 2, 1, 0]

/** What water does, from like new to bare. */
export const beadNames: Record<LookGrade, string> = {
  4: 'tight beads',
  3: 'wide beads',
  2: 'uneven patches',
  1: 'sheets',
  0: 'lies flat',
}

/** How dirt lets go in the first rinse. */
export const releaseNames: Record<LookGrade, string> = {
  4: 'runs off',
  3: 'mostly off',
  2: 'half stays',
  1: 'clings',
  0: 'stays',
}

/** How a clean finger feels it. */
export const slicknessNames: Record<LookGrade, string> = {
  4: 'like glass',
  3: 'slick',
  2: 'some drag',
  1: 'grips',
  0: 'rough',
}
