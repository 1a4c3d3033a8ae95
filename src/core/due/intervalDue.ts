import { message } from '@/core/message/message'
import { estimate, type EstimateId } from '@/core/estimates/houseEstimates'
import type { ServiceId } from '@/core/visit-kinds/service'
import { addDays, lastDone, type DueItem, type DueKind, type DueMarks } from './dueItem'
import type { DueContext, DueSet } from './dueSet'

/** Work that comes round by itself, about twice a year. */
interface Interval {
  readonly kind: Extract<DueKind, 'decontamination' | 'wheelsOff'>
  readonly every: EstimateId
  readonly service: ServiceId
  /** Visits that count as it. */
  readonly counts: readonly ServiceId[]
}

const intervals: readonly Interval[] = [
  {
    kind: 'decontamination',
    every: 'decontaminationDays',
    service: 'decontaminate',
    counts: ['decontaminate', 'restore', 'wheelsOff'],
  },
  {
    kind: 'wheelsOff',
    every: 'wheelsOffDays',
    service: 'wheelsOff',
    counts: ['wheelsOff'],
  },
]

const laterOf = (one: Date, other: Date): Date => (one > other ? one : other)

/** Decontamination and wheels-off clean of sets that are in use and come to the shop. */
export function intervalDue(set: DueSet, marks: DueMarks, { overrides }: DueContext): DueItem[] {
  if (!set.isMounted || set.firstVisitAt === null) return []
  const first = set.firstVisitAt
  // Wheels come off only where somebody wants that: it is due again, never for the first time.
  const isWanted = ({ kind, counts }: Interval): boolean =>
    kind !== 'wheelsOff' || counts.some((id) => set.lastVisits.has(id))
  return intervals.filter(isWanted).map(({ kind, every, service, counts }): DueItem => {
    const key = `${kind} ${set.facts.id}`
    const worked = counts.flatMap((id) => set.lastVisits.get(id) ?? [])
    const latest = worked.length > 0 ? new Date(Math.max(...worked.map((at) => at.getTime()))) : null
    const last = lastDone(latest, marks.get(key))
    const days = estimate(every, overrides)
    return {
      key,
      kind,
      wheelSetId: set.facts.id,
      what: message(`due.items.${kind}.what`),
      why: message(`due.items.${kind}.why`, { days, known: String(last !== null) }),
      at: last ? addDays(last, days) : laterOf(addDays(first, days), set.lastVisitAt ?? first),
      band: null,
      sureness: last ? 'likely' : 'guess',
      remedy: { kind: 'visit', service },
      canBeDone: true,
    }
  })
}
