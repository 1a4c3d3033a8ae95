import { useCallback, useEffect, useRef, useState } from 'react'
import type { Wishes } from '@/core/job/job'
import type { Problem } from '@/core/result'
import type { JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'
import { PlanClient } from '@/workers/planClient'

/** Progress is worth showing after this, ms. */
const patienceMilliseconds = 200

export interface PlanState {
  readonly plan: PlanFile
  readonly wishes: Wishes
  /** Shown once the search takes long enough to notice. */
  readonly working: boolean
  /** The newest wish is not on the server yet. */
  readonly keeping: boolean
  readonly problems: readonly Problem[]
  wish(changes: Partial<Wishes>): void
}

/** The plan as wished: worked out at once in a worker, then kept on the server. */
export function usePlan(
  first: PlanFile,
  jobFile: JobFile,
  keep: (wishes: Wishes) => Promise<{ readonly problems: readonly Problem[] }>,
): PlanState {
  const [plan, setPlan] = useState(first)
  const [wishes, setWishes] = useState<Wishes>(jobFile.wishes)
  const [working, setWorking] = useState(false)
  const [pending, setPending] = useState(0)
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const client = useRef<PlanClient | null>(null)
  useEffect(() => {
    const mine = new PlanClient()
    client.current = mine
    return () => mine.stop()
  }, [])
  const wish = useCallback(
    (changes: Partial<Wishes>) => {
      const next = { ...wishes, ...changes }
      setWishes(next)
      setPending((count) => count + 1)
      const late = setTimeout(() => setWorking(true), patienceMilliseconds)
      void (async () => {
        try {
          const result = await client.current?.plan({
            ...jobFile,
            wishes: { ...next, pinned: [...next.pinned], forbidden: [...next.forbidden] },
          })
          if (!result) return
          if (result.ok) {
            setPlan(result.value)
            setProblems((await keep(next)).problems)
          } else setProblems(result.problems)
        } catch {
          setProblems([
            { path: '', found: '', mend: 'The plan could not be worked out here; load the page again.' },
          ])
        } finally {
          clearTimeout(late)
          setWorking(false)
          setPending((count) => count - 1)
        }
      })()
    },
    [wishes, jobFile, keep],
  )
  return { plan, wishes, working, keeping: pending > 0, problems, wish }
}
