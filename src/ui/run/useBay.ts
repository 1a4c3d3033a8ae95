import type { Said } from '@/core/message/message'
import { useMemo, useState } from 'react'
import { questionOf } from '@/core/cards/cardsOf'
import type { Job } from '@/core/job/job'
import type { Resumed } from '@/core/rescheduling/resume'
import type { Answer } from '@/core/run/answer'
import type { Question } from '@/core/acts/question'
import { jobOf, type JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'
import type { Away } from './CalledAway'
import { bestAnswer } from './bestAnswer'
import { useBayCards, type BayCards } from './useBayCards'
import { useOrder } from './useOrder'
import { useRemote } from './useRemote'
import { useRun, type Happened, type Run, type StoredTaps } from './useRun'

/** A run as one person has it in hand. */
export interface Bay extends Run {
  readonly job: Job | null
  readonly cards: BayCards
  readonly order: Resumed | null
  readonly away: Away | null
  setAway(away: Away | null): void
  /** What the tap that is due asks; null where it asks nothing. */
  readonly asks: Question | null
  /** Ends the tap that is due with what was seen. */
  answer(answer: Answer): void
  /** Ends it as it was planned: what a remote does. */
  finish(): void
  undo(): void
}

/** What was last tapped, in the words of what it changed; empty where it changed nothing. */
export function lastSight({ plan, settled }: Run['state']): Said {
  const at = Math.max(0, ...[...settled.values()].map(({ tappedAt }) => tappedAt.getTime()))
  return plan.steps.find(({ id, sight }) => sight && settled.get(id)?.tappedAt.getTime() === at)?.sight ?? ''
}

/**
 * @param person who taps here, 0 or 1; undefined where one works alone
 * @param isHeard whether keys and remotes count now
 */
export function useBay(
  jobId: string,
  jobFile: JobFile,
  plan: PlanFile,
  stored: StoredTaps,
  serverNow: () => number,
  person: number | undefined,
  isHeard: boolean,
): Bay {
  const job = useMemo(() => {
    const read = jobOf(jobFile)
    return read.ok ? read.value : null
  }, [jobFile])
  const run = useRun(jobId, job, plan, stored, serverNow, person)
  const { state, tap, foamAt } = run
  const [away, setAway] = useState<Away | null>(null)
  const order = useOrder(jobFile, state, serverNow, away)
  const cards = useBayCards(state, order, person, tap)
  const steps = cards.inHand?.steps ?? []
  const last = steps.at(-1)
  const asks = last ? questionOf(last) : null
  const answer = (given: Answer): void => {
    const before = steps.slice(0, -1).map(({ id }): Happened => ({ kind: 'done', stepId: id }))
    cards.settle(steps, given.question === 'foam' && last ? foamAt(before, last.id, given.foam) : given)
  }
  // A remote sees nothing: rounds and applications stay as planned, and what nobody complains of is well.
  const finish = (): void => {
    if (!cards.inHand) return
    if (asks === 'look' || asks === 'testSpot') answer(bestAnswer[asks])
    else cards.settle(steps)
  }
  const undo = (): void => {
    if (state.undoable) tap({ kind: state.undoable.kind, stepId: state.undoable.stepId })
  }
  useRemote(
    () => isHeard && finish(),
    () => isHeard && undo(),
  )
  return { ...run, job, cards, order, away, setAway, asks, answer, finish, undo }
}
