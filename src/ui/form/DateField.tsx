'use client'

import { format, isValid, parse, parseISO, type Locale } from 'date-fns'
import { enGB } from 'date-fns/locale/en-GB'
import { enUS } from 'date-fns/locale/en-US'
import { useLocale, useTranslations } from 'next-intl'
import { useRef, useState } from 'react'
import { DatePicker } from 'react-datepicker'
import 'react-datepicker/dist/react-datepicker.min.css'
import Form from 'react-bootstrap/Form'
import { currentTime } from '@/clock'
import { regionOfTag } from '@/i18n/regionTag'

interface DateFieldProps {
  readonly id: string
  readonly label: string
  /** By the clock of the device: yyyy-MM-dd, with the time yyyy-MM-ddTHH:mm; empty: none. */
  readonly value: string
  readonly set: (value: string) => void
  readonly hasTime?: boolean
  readonly required?: boolean
  /** Sent with a plain form, as `value` is written. */
  readonly name?: string
  /** What to do where it was refused. */
  readonly fix?: string | undefined
  readonly className?: string
}

const minutesApart = 15

/** How a day is shown first, then the other ways in which it may be typed. */
const dayFirst = ['d MMM yyyy', 'd MMMM yyyy', 'd.M.yyyy', 'd/M/yyyy', 'yyyy-MM-dd', 'd MMM', 'd.M.']
const monthFirst = ['MMM d, yyyy', 'MMMM d, yyyy', 'MMM d yyyy', 'M/d/yyyy', 'yyyy-MM-dd', 'MMM d', 'M/d']
const withTimes = (days: readonly string[], times: readonly string[]): string[] =>
  days.flatMap((day) => times.flatMap((time) => [`${day} ${time}`, `${day}, ${time}`, `${day}'T'${time}`]))

/** How a region writes days and times; its week begins as its locale says. */
const ways = {
  dayFirst: { locale: enGB, days: dayFirst, times: withTimes(dayFirst, ['HH:mm']), time: 'HH:mm' },
  monthFirst: {
    locale: enUS,
    days: monthFirst,
    times: withTimes(monthFirst, ['h:mm aa', 'h:mmaa', 'HH:mm']),
    time: 'h:mm aa',
  },
}

const written = (at: Date, hasTime: boolean): string =>
  format(at, hasTime ? "yyyy-MM-dd'T'HH:mm" : 'yyyy-MM-dd')

const isReadable = (text: string, formats: readonly string[], locale: Locale): boolean =>
  formats.some((one) => isValid(parse(text.trim(), one, currentTime(), { locale })))

/** A day, or a day and a time, typed or chosen; it looks the same in every browser. */
export function DateField({
  id,
  label,
  value,
  set,
  hasTime = false,
  required,
  name,
  fix,
  className,
}: DateFieldProps) {
  const t = useTranslations()
  const way = ways[regionOfTag(useLocale()).english === 'en-US' ? 'monthFirst' : 'dayFirst']
  const formats = hasTime ? way.times : way.days
  /** What was typed and is no day; null: nothing is wrong. */
  const [wrong, setWrong] = useState<string | null>(null)
  const typed = useRef('')
  const picker = useRef<DatePicker>(null)
  /** What cannot be read is not kept: it is said, beside the day that stays. */
  const check = () =>
    setWrong(
      typed.current.trim() === '' || isReadable(typed.current, formats, way.locale)
        ? null
        : typed.current.slice(0, 40),
    )
  const at = value === '' ? null : parseISO(value)
  return (
    <Form.Group controlId={id} className={className ?? ''}>
      <Form.Label>{label}</Form.Label>
      <DatePicker
        ref={picker}
        id={id}
        className={`form-control${wrong === null && !fix ? '' : ' is-invalid'}`}
        wrapperClassName="date-field"
        locale={way.locale}
        dateFormat={[...formats]}
        selected={at && isValid(at) ? at : null}
        onChange={(date: Date | null) => {
          typed.current = ''
          setWrong(null)
          set(date && isValid(date) ? written(date, hasTime) : '')
        }}
        onChangeRaw={(event) => {
          if (!(event?.target instanceof HTMLInputElement)) return
          typed.current = event.target.value
          // Who types needs no calendar over the buttons below.
          picker.current?.setOpen(false)
        }}
        onBlur={check}
        onCalendarClose={check}
        showTimeSelect={hasTime}
        timeFormat={way.time}
        timeIntervals={minutesApart}
        timeCaption={t('common.date.time')}
        placeholderText={t('common.date.example', { time: String(hasTime) })}
        previousMonthAriaLabel={t('common.date.previousMonth')}
        nextMonthAriaLabel={t('common.date.nextMonth')}
        previousMonthButtonLabel={t('common.date.previousMonth')}
        nextMonthButtonLabel={t('common.date.nextMonth')}
        showPopperArrow={false}
        enableTabLoop={false}
        autoComplete="off"
        required={required ?? false}
      />
      {name !== undefined && <input type="hidden" name={name} value={value} />}
      {wrong === null && fix && <span className="invalid-feedback is-said">{fix}</span>}
      {wrong !== null && (
        <span className="invalid-feedback is-said" role="alert">
          {t('common.date.unreadable', { time: String(hasTime), typed: wrong })}
        </span>
      )}
    </Form.Group>
  )
}
