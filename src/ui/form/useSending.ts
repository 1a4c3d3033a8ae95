import { useTranslations } from 'next-intl'
import { unstable_isUnrecognizedActionError, unstable_rethrow, useRouter } from 'next/navigation'
import { useState, useTransition } from 'react'
import type { SaidProblem } from '@/i18n/saidProblems'
import { followLink } from '../followLink'
import type { FormAnswer } from './formAction'

export interface Sending {
  readonly problems: readonly SaidProblem[]
  readonly busy: boolean
  setProblems(problems: readonly SaidProblem[]): void
  /** Runs an action; `sent` is called when it went through. */
  send(action: () => Promise<FormAnswer>, sent?: () => void): void
}

/** Sends a form by a server action, and goes on to where that leads. Whatever goes wrong on the way leaves the form as it is and says that nothing is kept. */
export function useSending(): Sending {
  const router = useRouter()
  const [problems, setProblems] = useState<readonly SaidProblem[]>([])
  const [busy, startSending] = useTransition()
  const t = useTranslations()
  /** An action that is not known any more is of the build this page came from. */
  const failure = (error: unknown): SaidProblem =>
    unstable_isUnrecognizedActionError(error)
      ? { path: 'updated', found: '', fix: t('errors.sending.updated') }
      : { path: 'unreachable', found: '', fix: t('errors.sending.noConnection') }
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
          setProblems([failure(error)])
        }
      }),
  }
}
