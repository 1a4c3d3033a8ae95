import type { Formats } from '@/i18n/formats'
import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import type { Translator } from '@/i18n/translator'
import { currentTime } from '@/clock'
import { isSameDay } from 'date-fns'
import { formatDuration } from '@/i18n/format'

interface WeekLoadProps {
  readonly days: readonly {
    readonly day: Date
    readonly plannedMinutes: number
    readonly dueMinutes: number
  }[]
}

/** A day of work, minutes; the bars are drawn against it. */
const fullDay = 480
const tallest = 58

/** The minutes of the coming days: planned below, what falls due above. */
export function WeekLoad({ days }: WeekLoadProps) {
  const formats = useFormats()
  const t = useTranslations()
  const most = Math.max(fullDay, ...days.map(({ plannedMinutes, dueMinutes }) => plannedMinutes + dueMinutes))
  const height = (minutes: number): string => `${(minutes / most) * tallest}px`
  return (
    <div
      className="week-load"
      role="img"
      aria-label={days.map((day) => dayWords(day, t, formats)).join('; ')}
    >
      {days.map((load) => (
        <div key={load.day.getTime()} aria-hidden>
          <span className="number">
            {load.plannedMinutes + load.dueMinutes > 0 &&
              formatDuration((load.plannedMinutes + load.dueMinutes) * 60)}
          </span>
          <i className="is-due" style={{ height: height(load.dueMinutes) }} />
          <i style={{ height: height(load.plannedMinutes) }} />
          {isSameDay(load.day, currentTime()) ? t('today.week.today') : formats.weekday(load.day, 'short')}
        </div>
      ))}
    </div>
  )
}

const dayWords = (
  { day, plannedMinutes, dueMinutes }: WeekLoadProps['days'][number],
  t: Translator,
  formats: Formats,
): string =>
  t('today.week.day', { day: formats.weekday(day, 'long'), planned: plannedMinutes, due: dueMinutes })
