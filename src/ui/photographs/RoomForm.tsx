'use client'

import { useFormats } from '@/i18n/useFormats'
import { DateField } from '../form/DateField'
import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { ProblemAlert } from '../form/ProblemAlert'
import type { FormAnswer } from '../form/formAction'
import { useSending } from '../form/useSending'

interface Counted {
  readonly count: number
  readonly bytes: number
}

interface RoomFormProps {
  /** How many were taken before a day. */
  readonly look: (day: string) => Promise<FormAnswer & Partial<Counted>>
  readonly throwAway: (input: unknown) => Promise<FormAnswer>
}

/** Throws old photographs away: first it says how many that would be. */
export function RoomForm({ look, throwAway }: RoomFormProps) {
  const formats = useFormats()
  const t = useTranslations()

  const [day, setDay] = useState('')
  const [counted, setCounted] = useState<Counted | null>(null)
  const { problems, busy, send } = useSending()
  const count = () =>
    send(async () => {
      const { problems: found, count: many = 0, bytes = 0 } = await look(day)
      setCounted(found.length === 0 ? { count: many, bytes } : null)
      return { problems: found }
    })
  return (
    <form
      className="reminder-form"
      onSubmit={(event) => {
        event.preventDefault()
        count()
      }}
    >
      <DateField
        id="photographs-before"
        label={t('photos.room.before')}
        value={day}
        required
        set={(value) => {
          setDay(value)
          setCounted(null)
        }}
      />
      <Button type="submit" variant="outline-secondary" disabled={busy}>
        {t('photos.room.count')}
      </Button>
      <ProblemAlert problems={problems} />
      {counted && (
        <p role="status">
          {counted.count === 0
            ? t('photos.room.none')
            : t('photos.room.counted', { count: counted.count, size: formats.megabytes(counted.bytes) })}
          {counted.count > 0 && (
            <Button
              variant="outline-secondary"
              disabled={busy}
              onClick={() =>
                send(
                  () => throwAway({ before: day, count: counted.count }),
                  () => setCounted(null),
                )
              }
            >
              {t('photos.room.delete', { count: counted.count })}
            </Button>
          )}
        </p>
      )}
    </form>
  )
}
