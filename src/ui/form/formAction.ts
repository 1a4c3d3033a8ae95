import type { SaidProblem } from '@/i18n/saidProblems'

/** What a server action of a form says: what it has against what was sent, or where it leads. */
export interface FormAnswer {
  readonly problems: readonly SaidProblem[]
  readonly goTo?: string
}
export type FormAction<Input> = (input: Input) => Promise<FormAnswer>
