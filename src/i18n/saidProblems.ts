import type { Said } from '@/core/message/message'
import type { Problem } from '@/core/result'
import type { Say } from './sayer'

/** A problem as it is said to a person. */
export type SaidProblem = Problem<string>

/** Says problems with their values as they are. */
export const saidProblems = (problems: readonly Problem<Said>[], say: Say): readonly SaidProblem[] =>
  problems.map(({ path, found, fix }) => ({ path, found: say(found), fix: say(fix) }))
