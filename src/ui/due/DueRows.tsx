import type { Formats } from '@/i18n/formats'
import { useFormats } from '@/i18n/useFormats'
import { useSay } from '@/i18n/useSay'
import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { differenceInCalendarDays } from 'date-fns'
import { Link } from '@/ui/Link'
import type { DueItem } from '@/core/due'
import { DueActions, type DueActionsProps } from './DueActions'
import { monthsOnAxis, placeOnAxis } from './dueAxis'

/** A due thing with whose it is. */
export interface ShownDue extends DueItem {
  readonly vehicleName: string
  readonly setName: string
}

const soonDays = 7

/** How pressing it is; 'missed': its time has passed for good. */
export function pressing(
  { at, kind, isMissed }: DueItem,
  now: Date,
): 'missed' | 'over' | 'now' | 'soon' | 'later' {
  if (isMissed) return 'missed'
  const days = differenceInCalendarDays(at, now)
  if (days > soonDays) return 'later'
  if (days > 0 || kind === 'cureOver') return 'soon'
  return kind === 'renewal' || days < -soonDays ? 'over' : 'now'
}

const whenText = (item: DueItem, now: Date, t: Translator, formats: Formats): string => {
  const days = differenceInCalendarDays(item.at, now)
  if (item.kind === 'cureOver')
    return days === 0
      ? formats.timeOfDay(item.at)
      : `${formats.weekday(item.at, 'short')} ${formats.timeOfDay(item.at)}`
  if (item.isMissed) return t('due.missed')
  if (days < 0) return t('due.overdue', { days: -days })
  return days === 0
    ? t('due.today')
    : days < soonDays
      ? formats.weekday(item.at, 'long')
      : formats.day(item.at, now)
}

/** From when to when it may fall due, and how sure that is; a date that is known says nothing more. */
function rangeText({ band, sureness }: DueItem, now: Date, t: Translator, formats: Formats): string {
  if (!band) return sureness === 'sure' ? '' : t(`due.sureness.${sureness}`)
  const [from, to] = [formats.day(band.from, now), formats.day(band.until, now)]
  const range = from === to ? from : t('due.range', { from, to })
  return sureness === 'sure'
    ? range
    : t('due.unsureRange', { range, sureness: t(`due.sureness.${sureness}`) })
}

/** The bar of one due thing: what it lies between, and the day itself. */
function DueBar({ item, now }: { readonly item: DueItem; readonly now: Date }) {
  const formats = useFormats()
  const t = useTranslations()

  const at = placeOnAxis(item.at, now)
  const from = item.band ? placeOnAxis(item.band.from, now) : at
  const until = item.band ? placeOnAxis(item.band.until, now) : at
  return (
    <div
      className={`due-bar is-${pressing(item, now)} is-${item.sureness}`}
      role="img"
      aria-label={t('due.bar.label', {
        day: formats.day(item.at, now),
        range: rangeText(item, now, t, formats),
      })}
    >
      <i className="due-today" style={{ left: `${placeOnAxis(now, now) * 100}%` }} />
      <i className="due-band" style={{ left: `${from * 100}%`, width: `${(until - from) * 100}%` }} />
      <i className="due-day" style={{ left: `${at * 100}%` }} />
    </div>
  )
}

/** The months over the bars. */
export function DueAxis({ now }: { readonly now: Date }) {
  const formats = useFormats()
  const t = useTranslations()

  return (
    <div className="due-row due-axis" aria-hidden>
      <span />
      <div className="due-months">
        <b style={{ left: `${placeOnAxis(now, now) * 100}%` }}>{t('due.bar.now')}</b>
        {monthsOnAxis(now).map((month) => (
          <span key={month.getTime()} style={{ left: `${placeOnAxis(month, now) * 100}%` }}>
            {formats.month(month, 'short')}
          </span>
        ))}
      </div>
    </div>
  )
}

interface DueRowsProps {
  readonly items: readonly ShownDue[]
  readonly now: Date
  /** Whether to say whose it is; not needed on the page of one set. */
  readonly named?: boolean
  /** Only what and when: no reasons, no bars. */
  readonly short?: boolean
  /** What can be done about it at once; absent: nothing but looking. */
  readonly actions?: DueActionsProps['actions']
}

/** Rows of what is due: whose, what, why, its bar on the axis of the coming months, and what to do about it. */
export function DueRows({ items, now, named = true, short = false, actions }: DueRowsProps) {
  const formats = useFormats()
  const t = useTranslations()
  const say = useSay()
  return (
    <ul className="rows due-rows">
      {items.map((item) => (
        <li key={item.key} className="row-item due-row">
          <div>
            <b>{say(item.what)}</b>
            {named && (
              <>
                {', '}
                {item.wheelSetId === null ? (
                  item.vehicleName
                ) : (
                  <Link href={`/wheels/${item.wheelSetId}`}>
                    {item.vehicleName}, {item.setName}
                  </Link>
                )}
              </>
            )}
            {!short && (
              <p className="soft">
                {t('due.reason', { kind: t(`due.kinds.${item.kind}`), why: say(item.why) })}
              </p>
            )}
          </div>
          {!short && <DueBar item={item} now={now} />}
          <div className={`when is-${pressing(item, now)}`}>
            {whenText(item, now, t, formats)}
            <small>{rangeText(item, now, t, formats)}</small>
          </div>
          {actions && <DueActions item={item} actions={actions} />}
        </li>
      ))}
    </ul>
  )
}
