import { useTranslations } from 'next-intl'
import { startTransition, useCallback, useEffect, useRef, useState } from 'react'
import type { Wishes } from '@/core/job/job'
import { saidProblems, type SaidProblem } from '@/i18n/saidProblems'
import type { ConditionsFile } from '@/contracts/conditions'
import type { JobFile } from '@/contracts/jobFile'
import type { KeptChange, PlanChangeInput } from '@/contracts/planChange'
import type { PlanFile } from '@/contracts/planFile'
import type { SpokenPlan } from '@/i18n/spoken'
import { useSay, useSpoken } from '@/i18n/useSay'
import { PlanClient } from '@/workers/planClient'
import { useKeptInTurn } from './useKeptInTurn'
import { useOrderSearch, type OrderSearch } from './useOrderSearch'

/** Progress is worth showing after this, ms. */
const patienceMilliseconds = 200

export interface PlanState {
  /** As a person reads it. */
  readonly plan: SpokenPlan
  readonly file: JobFile
  /** Shown once the search takes long enough to notice. */
  readonly working: boolean
  /** The newest change is not on the server yet. */
  readonly keeping: boolean
  readonly problems: readonly SaidProblem[]
  /** The last change was kept together with one of another window. */
  readonly mergedOthers: boolean
  /** Comes once the server has answered to every change; false where it refused the last. */
  whenKept(): Promise<boolean>
  wish(changes: Partial<Wishes>): void
  setConditions(conditions: ConditionsFile): void
  setPeople(people: number): void
  readonly search: OrderSearch
}

const writable = (wishes: Wishes): JobFile['wishes'] => ({
  ...wishes,
  pinned: [...wishes.pinned],
  forbidden: [...wishes.forbidden],
  placed: [...(wishes.placed ?? [])],
})

/** The plan as changed: worked out at once in a worker, then kept on the server. */
export function usePlan(
  first: PlanFile,
  jobFile: JobFile,
  keep: (change: PlanChangeInput) => Promise<KeptChange<string>>,
): PlanState {
  'use memo'
  const t = useTranslations()
  const say = useSay()

  const { send, adopt } = useKeptInTurn(jobFile.wishes, keep)
  const [plan, setPlan] = useState(first)
  const [file, setFile] = useState(jobFile)
  const [working, setWorking] = useState(false)
  const [pending, setPending] = useState(0)
  const [problems, setProblems] = useState<readonly SaidProblem[]>([])
  const [mergedOthers, setMergedOthers] = useState(false)
  const client = useRef<PlanClient | null>(null)
  /** Changes that the server has not got yet: one that was overtaken by the next goes along with it. */
  const unkept = useRef<PlanChangeInput>({})
  /** The change that was made last, on its way to the server. */
  const newest = useRef<Promise<boolean>>(Promise.resolve(true))
  /** The newest plan that the server has. */
  const kept = useRef(first)
  useEffect(() => {
    const mine = new PlanClient()
    client.current = mine
    return () => mine.stop()
  }, [])
  const change = useCallback(
    (next: JobFile, told: PlanChangeInput) => {
      setFile(next)
      unkept.current = { ...unkept.current, ...told }
      setPending((count) => count + 1)
      const late = setTimeout(() => setWorking(true), patienceMilliseconds)
      newest.current = (async () => {
        try {
          const result = await client.current?.plan(next)
          if (!result) return true
          if (result.ok) {
            // Drawing a plan of a hundred steps may be broken off for whatever the person does meanwhile.
            startTransition(() => setPlan(result.value))
            const sent = unkept.current
            const { problems: refused, merged } = await send(sent)
            const isNewest = unkept.current === sent
            if (isNewest) unkept.current = {}
            if (refused.length === 0) kept.current = merged?.plan ?? result.value
            if (merged && isNewest) {
              adopt(merged.wishes)
              setFile({ ...next, wishes: merged.wishes })
              startTransition(() => setPlan(merged.plan))
            }
            setMergedOthers(merged !== undefined)
            setProblems(refused)
            return refused.length === 0
          }
          setProblems(saidProblems(result.problems, say))
        } catch {
          setProblems([{ path: '', found: '', fix: t('plan.notWorkedOut') }])
        } finally {
          clearTimeout(late)
          setWorking(false)
          setPending((count) => count - 1)
        }
        return false
      })()
    },
    [send, adopt, t, say],
  )
  const keepOrder = useCallback(
    (better: PlanFile) => {
      const order = better.sequence?.entries ?? []
      // What was not kept is not shown either: a reload would take it away without a word.
      const takeBack = (why: readonly SaidProblem[]) => {
        setProblems(why)
        startTransition(() => setPlan(kept.current))
        return false
      }
      setPending((count) => count + 1)
      newest.current = send({ order: order.map((entry) => ({ ...entry })) })
        .then(({ problems: refused }) => {
          if (refused.length > 0) return takeBack(refused)
          kept.current = better
          setProblems([])
          return true
        })
        .catch(() => takeBack([{ path: '', found: '', fix: t('plan.orderNotSaved') }]))
        .finally(() => setPending((count) => count - 1))
    },
    [send, t],
  )
  const search = useOrderSearch(file, plan, setPlan, keepOrder)
  const said = useSpoken(plan)
  return {
    plan: said,
    file,
    search,
    working,
    keeping: pending > 0,
    problems,
    mergedOthers,
    whenKept: async () => {
      for (;;) {
        const last = newest.current
        const isKept = await last
        if (last === newest.current) return isKept
      }
    },
    wish: (changes) => {
      // Another choice of products makes other steps: what was put to a time by hand no longer means anything.
      const wishes = writable({ ...file.wishes, ...('placed' in changes ? {} : { placed: [] }), ...changes })
      change({ ...file, wishes }, { wishes })
    },
    setConditions: (conditions) => change({ ...file, conditions }, { conditions }),
    setPeople: (people) => change({ ...file, crew: { people } }, { people }),
  }
}
