import type { LookGrade } from '@/core/protection/record'

/** From like new to bare, as a check asks for them; their names are `terms.beading`, `terms.release` and `terms.slickness`. */
export const lookGrades = [4, 3, 2, 1, 0] as const satisfies readonly LookGrade[]
