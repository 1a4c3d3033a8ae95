import type { Problem, Result } from '@/core/result'
import { PoolFull } from '@/pool/pool'
import { message, type Message } from '@/core/message/message'
import { isDrawingQueueFull } from '@/services/photographs'
import { isDataFailure } from '@/services/records'

/** What a form shows when its action was refused; none where it went through. */
export interface Refusal {
  readonly problems: readonly Problem[]
  /** Where it leads; only where it went through. */
  readonly goTo?: string
}

/** It went through and leads to a page, which the browser asks for then: who saves waits for no page to be drawn. */
export const leadTo = (path: string): Refusal => ({ problems: [], goTo: path })

export const refuse = (path: string, found: Message | string, fix: Message): Refusal => ({
  problems: [{ path, found, fix }],
})

/** A full disk is something a person can fix; everything else is a bug and goes to the error page. */
export function refusalOf(error: unknown): Refusal {
  if (isDataFailure(error)) return refuse('', error.reason, error.said)
  if (error instanceof PoolFull) return refuse('', message('problems.busy.found'), error.fix)
  if (isDrawingQueueFull(error))
    return refuse('', message('problems.busy.found'), message('problems.busy.photos'))
  throw error
}

/** The answer of work that is refused or goes through. */
export async function answerOf<T>(work: () => Promise<Result<T>>): Promise<Refusal & { readonly value?: T }> {
  try {
    const done = await work()
    return done.ok ? { problems: [], value: done.value } : { problems: done.problems }
  } catch (error) {
    return refusalOf(error)
  }
}
