import { message } from '@/core/message/message'
import { estimate } from '@/core/estimates/houseEstimates'
import { addDays, type DueItem, type DueMarks } from './dueItem'
import type { DueContext } from './dueSet'

export interface DueTool {
  readonly id: string
  readonly name: string
  readonly state: 'clean' | 'dropped' | 'worn'
}

/** Tools that want washing out or replacing. */
export function toolDue(tools: readonly DueTool[], { now }: DueContext): DueItem[] {
  return tools
    .filter(({ state }) => state !== 'clean')
    .map(({ id, name, state }) => ({
      key: `tool ${id} ${state}`,
      kind: 'tool',
      wheelSetId: null,
      what: message('due.items.tool.what', { state, tool: name }),
      why: message('due.items.tool.why', { state }),
      at: now,
      band: null,
      sureness: 'sure',
      remedy: { kind: 'place', place: 'tools' },
      canBeDone: false,
    }))
}

export interface DueBottle {
  readonly id: string
  readonly productName: string
  readonly mixedAt: Date
}

/** Mixed bottles that lose their bite. */
export function bottleDue(bottles: readonly DueBottle[], { overrides }: DueContext): DueItem[] {
  const days = estimate('mixedBottleDays', overrides)
  return bottles.map(({ id, productName, mixedAt }) => ({
    key: `bottle ${id}`,
    kind: 'bottle',
    wheelSetId: null,
    what: message('due.items.bottle.what', { product: productName }),
    why: message('due.items.bottle.why', { days }),
    at: addDays(mixedAt, days),
    band: null,
    sureness: 'likely',
    remedy: { kind: 'place', place: 'bottles' },
    canBeDone: false,
  }))
}

/** The deionising filter, and what has gone through it. */
export interface DueFilter {
  readonly resinLitres: number
  readonly hardnessPpm: number
  readonly litresPerVisit: number
  /** When it was last filled, as far as is known. */
  readonly filledAt: Date | null
  readonly visitsSinceFilled: number
  /** Visits a day of late. */
  readonly visitsPerDay: number
  /** Dissolved solids behind the filter, as last read since it was filled. */
  readonly lastAfterPpm: { readonly at: Date; readonly ppm: number } | null
}

/** Water from here on leaves spots. House estimate. */
const spentPpm = 10
const farthestDays = 730

/**
 * Resin of the deionising filter: litres it treats = resin litres × grams a litre holds / hardness in grams a litre.
 */
export function resinDue(filter: DueFilter | null, { now, overrides }: DueContext): DueItem[] {
  if (!filter) return []
  const { filledAt } = filter
  const treats =
    (filter.resinLitres * estimate('resinGramsPerLitre', overrides) * 1000) / Math.max(1, filter.hardnessPpm)
  // Nobody knows what went through before it was first said to be filled.
  const used = filledAt === null ? 0 : filter.visitsSinceFilled * filter.litresPerVisit
  const perDay = filter.visitsPerDay * filter.litresPerVisit
  const reading =
    filter.lastAfterPpm && (!filledAt || filter.lastAfterPpm.at > filledAt) ? filter.lastAfterPpm : null
  const isSpent = reading !== null && reading.ppm >= spentPpm
  const days = perDay > 0 ? Math.min(farthestDays, Math.max(0, treats - used) / perDay) : farthestDays
  return [
    {
      key: 'resin',
      kind: 'resin',
      wheelSetId: null,
      what: message('due.items.resin.what'),
      why: isSpent
        ? message('due.items.resin.spent', {
            ppm: { ppm: reading.ppm },
            limit: { ppm: spentPpm },
          })
        : filledAt === null
          ? message('due.items.resin.unknown', {
              treats: { litres: Math.round(treats) },
              resin: { litres: filter.resinLitres },
              hardness: { ppm: filter.hardnessPpm },
            })
          : message('due.items.resin.used', {
              used: { litres: Math.round(used) },
              treats: { litres: Math.round(treats) },
              resin: { litres: filter.resinLitres },
              hardness: { ppm: filter.hardnessPpm },
            }),
      at: isSpent ? now : addDays(now, days),
      band: isSpent ? null : { from: addDays(now, days * 0.7), until: addDays(now, days * 1.4) },
      sureness: isSpent ? 'sure' : reading ? 'likely' : 'guess',
      remedy: { kind: 'place', place: 'water' },
      canBeDone: true,
    },
  ]
}

export interface Reminder {
  readonly id: string
  readonly wheelSetId: string | null
  readonly about: string
  readonly dueOn: Date
  readonly repeatDays: number | null
}

/** What a person wants to be reminded of. */
export function reminderDue(reminders: readonly Reminder[], marks: DueMarks): DueItem[] {
  return reminders.flatMap(({ id, wheelSetId, about, dueOn, repeatDays }): DueItem[] => {
    const key = `reminder ${id}`
    const done = marks.get(key)?.doneAt ?? null
    if (done && repeatDays === null) return []
    const next = done && repeatDays !== null ? addDays(done, repeatDays) : dueOn
    return [
      {
        key,
        kind: 'reminder',
        wheelSetId,
        what: message('due.items.reminder.what', { about }),
        why:
          repeatDays === null
            ? message('due.items.reminder.once')
            : message('due.items.reminder.repeated', { days: repeatDays }),
        at: next > dueOn ? next : dueOn,
        band: null,
        sureness: 'sure',
        remedy: { kind: 'none' },
        canBeDone: true,
      },
    ]
  })
}
