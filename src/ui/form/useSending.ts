import { unstable_rethrow } from 'next/navigation'
import { useState, useTransition } from 'react'
import type { Problem } from '@/core/result'

interface Answer {
  readonly problems: readonly Problem[]
}

const notKept: Problem = {
  path: 'unreachable',
  found: 'no answer',
  mend: 'This is not kept yet: the program did not answer. What you entered is still here; send it again when the network or the program is back.',
}

export interface Sending {
  readonly problems: readonly Problem[]
  readonly busy: boolean
  setProblems(problems: readonly Problem[]): void
  /** Runs an action; `sent` is called when it went through. */
  send(action: () => Promise<Answer>, sent?: () => void): void
}

/** Sends a form by a server action. Whatever goes wrong on the way leaves the form as it is and says that nothing is kept. */
export function useSending(): Sending {
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const [busy, startSending] = useTransition()
  return {
    problems,
    busy,
    setProblems,
    send: (action, sent = () => undefined) =>
      startSending(async () => {
        try {
          const answer = await action()
          if (answer.problems.length === 0) sent()
          setProblems(answer.problems)
        } catch (error) {
          // A redirect is how an action tells that it went through.
          if (isRedirect(error)) sent()
          unstable_rethrow(error)
          setProblems([notKept])
        }
      }),
  }
}

const isRedirect = (error: unknown): boolean =>
  typeof error === 'object' &&
  error !== null &&
  'digest' in error &&
  String(error.digest).startsWith('NEXT_REDIRECT')
