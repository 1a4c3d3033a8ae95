import { planInOrder, takeOrder } from '@/core/order/orderPlan'
import { succeed, type Result } from '@/core/result'
import { readCabinetText, type ReadCabinet } from '@/contracts/cabinetCsv'
import { jobOf, readJobText, type JobFile } from '@/contracts/jobFile'
import type { PlanChange } from '@/contracts/planChange'
import type { BackupManifest } from '@/contracts/backup'
import { readBackup } from './backup/readBackup'
import { writeCalendar, type CalendarContents } from './writeCalendar'
import { writePlan, type PlanFile } from '@/contracts/planFile'
import { withTexts } from '@/contracts/saidText'
import { shopSay } from '@/i18n/shopSay'
import type { Plan } from '@/core/plan/plan'

/** What is worked out away from the thread that answers requests. Plain values in and out. */
export interface Tasks {
  /** A job file as it was sent: read, planned and written. */
  planText(text: string): Result<PlanFile>
  /** A job that was read before; null where it cannot take the order that was found for it. */
  planFile(job: { readonly file: JobFile; readonly order?: PlanChange['order'] }): Result<PlanFile | null>
  /** A table or a cabinet file, read; prices without a currency of their own are in the given one. */
  readCabinet(sent: { readonly text: string; readonly currency: string }): Result<ReadCabinet>
  /** The manifest of a backup file, after everything in the file was compared with it. */
  readBackup(path: string): Promise<Result<BackupManifest>>
  writeCalendar(contents: CalendarContents): string
}

/** A plan with its words beside its messages, as it is stored and sent. */
const written = (plan: Plan): PlanFile => withTexts(writePlan(plan), shopSay())

export const tasks: Tasks = {
  readBackup,
  writeCalendar,
  readCabinet: ({ text, currency }) => readCabinetText(text, currency),
  planText: (text) => {
    const read = readJobText(text)
    return read.ok ? succeed(written(planInOrder(read.value.job))) : read
  },
  planFile: ({ file, order }) => {
    const job = jobOf(file)
    if (!job.ok) return job
    const planned = order ? takeOrder(job.value, order) : planInOrder(job.value)
    return succeed(planned && written(planned))
  },
}
