import type { Problem } from '@/core/result'

/** A server action of a form: it redirects on success, so only a refusal comes back. */
export type FormAction<Input> = (input: Input) => Promise<{ readonly problems: readonly Problem[] }>
