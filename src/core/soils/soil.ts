import { power } from '@/core/quantity/portableMath'

export const soils = [
  'grit', 'film', 'freshDust', 'bondedDust', 'tar', 'mineral', 'organic', 'tyreBrowning',
] as const // prettier-ignore
export type Soil = (typeof soils)[number]

export const grades = [0, 1, 2, 3, 4] as const
/** How much of a soil there is: 0 none, 1 light, 2 clear, 3 heavy, 4 neglected. */
export type Grade = (typeof grades)[number]

/** Amount behind a grade: each grade doubles, 0 1 2 4 8. House scale. */
export const amountOfGrade = (grade: Grade): number => (grade === 0 ? 0 : power(2, grade - 1))
