import { getTranslations } from 'next-intl/server'
import { weekLoad, type WeekDue } from '@/services/due'
import type { OpenJob } from '@/services/jobs'
import { database } from '@/services/records'
import { DueRows } from '@/ui/due/DueRows'
import { WeekLoad } from '@/ui/due/WeekLoad'

interface DueOfWeekProps {
  readonly due: Promise<WeekDue>
  readonly jobs: readonly OpenJob[]
  readonly now: Date
}

/** How full the coming days are, and what is due first; the forecast behind it takes a while after a start. */
export async function DueOfWeek({ due, jobs, now }: DueOfWeekProps) {
  const t = await getTranslations()

  const { rows, visits } = await due
  return (
    <>
      <WeekLoad days={await weekLoad(await database(), jobs, visits, now)} />
      {rows.length === 0 ? (
        <p className="py-3">{t('today.due.none')}</p>
      ) : (
        <DueRows items={rows} now={now} short />
      )}
    </>
  )
}

/** How much is due, in a sentence. */
export async function DueCount({ due }: Pick<DueOfWeekProps, 'due'>) {
  const t = await getTranslations()

  const { count } = await due
  return count === 0 ? t('today.lead.nothingDue') : t('today.lead.due', { count })
}
