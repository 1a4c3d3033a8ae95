import { unstable_isUnrecognizedActionError, unstable_rethrow, useRouter } from 'next/navigation'
import { useState, useTransition } from 'react'
import type { Problem } from '@/core/result'
import { followLink } from '../followLink'
import type { FormAnswer } from './formAction'

const notKept: Problem = {
  path: 'unreachable',
  found: 'no answer',
  mend: 'This is not kept yet: the program did not answer. What you entered is still here; send it again when the network or the program is back.',
}

/** The page is of an earlier build: the new one knows its actions by other names. */
const updated: Problem = {
  path: 'updated',
  found: 'a page of an earlier version',
  mend: 'Even Spoke was updated. Nothing was saved. Reload this page, then send again: your entries come back.',
}

export interface Sending {
  readonly problems: readonly Problem[]
  readonly busy: boolean
  setProblems(problems: readonly Problem[]): void
  /** Runs an action; `sent` is called when it went through. */
  send(action: () => Promise<FormAnswer>, sent?: () => void): void
}

/** Sends a form by a server action, and goes on to where that leads. Whatever goes wrong on the way leaves the form as it is and says that nothing is kept. */
export function useSending(): Sending {
  const router = useRouter()
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const [busy, startSending] = useTransition()
  /** The page takes the place of the form: who goes back comes to what was before it. */
  const goOn = (path: string): void => {
    followLink(path)
    // After what was waited for a transition has to be begun anew, or the form would wake before the page is there.
    startSending(() => router.replace(path))
  }
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
          if (answer.goTo !== undefined) goOn(answer.goTo)
        } catch (error) {
          unstable_rethrow(error)
          setProblems([unstable_isUnrecognizedActionError(error) ? updated : notKept])
        }
      }),
  }
}
