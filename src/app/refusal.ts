import type { Problem, Result } from '@/core/result'
import { PoolFull } from '@/pool/pool'
import { reasonOf } from '@/core/reasonOf'
import { isDrawingQueueFull } from '@/services/photographs/drawingQueue'
import { isDataFailure } from '@/data/dataFailure'

/** What a form shows when its action was refused; none where it went through. */
export interface Refusal {
  readonly problems: readonly Problem[]
  /** Where it leads; only where it went through. */
  readonly goTo?: string
}

/** It went through and leads to a page, which the browser asks for then: who saves waits for no page to be drawn. */
export const leadTo = (path: string): Refusal => ({ problems: [], goTo: path })

export const refuse = (path: string, found: string, mend: string): Refusal => ({
  problems: [{ path, found, mend }],
})

/** A full disk is something a person can mend; everything else is a bug and goes to the error page. */
export function refusalOf(error: unknown): Refusal {
  if (isDataFailure(error)) return refuse('', error.reason, error.message)
  if (error instanceof PoolFull || isDrawingQueueFull(error))
    return refuse('', 'too much at once', reasonOf(error))
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
