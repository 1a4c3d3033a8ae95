'use client'

import { QuantityInput } from '@/ui/form/QuantityInput'
import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Result } from '@/core/result'
import type { SaidProblem } from '@/i18n/saidProblems'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'

interface WaterFormProps {
  readonly ask: () => Promise<
    Result<{ readonly beforePpm: number; readonly afterPpm: number; readonly isSimulated: boolean }, string>
  >
  readonly keep: (input: unknown) => Promise<{ readonly problems: readonly SaidProblem[] }>
}

/** Dissolved solids before and behind the filter: off the meter, or typed. */
export function WaterForm({ ask, keep }: WaterFormProps) {
  const t = useTranslations()

  const [before, setBefore] = useState('')
  const [after, setAfter] = useState('')
  const [said, setSaid] = useState('')
  const { problems, busy, setProblems, send } = useSending()
  return (
    <form
      className="reminder-form"
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () => keep({ beforePpm: Number(before), afterPpm: Number(after) }),
          () => setSaid(t('common.saved')),
        )
      }}
    >
      <Button
        variant="outline-secondary"
        disabled={busy}
        onClick={() =>
          send(async () => {
            const reading = await ask()
            if (!reading.ok) return { problems: reading.problems }
            setBefore(String(reading.value.beforePpm))
            setAfter(String(reading.value.afterPpm))
            setSaid(reading.value.isSimulated ? t('due.water.readSimulated') : t('due.water.readMeter'))
            setProblems([])
            return { problems: [] }
          })
        }
      >
        {t('due.water.read')}
      </Button>
      <Form.Group controlId="before-ppm">
        <Form.Label>{t('due.water.before')}</Form.Label>
        <QuantityInput kind="hardness" required value={before} set={setBefore} />
      </Form.Group>
      <Form.Group controlId="after-ppm">
        <Form.Label>{t('due.water.after')}</Form.Label>
        <QuantityInput kind="hardness" required value={after} set={setAfter} />
      </Form.Group>
      <Button type="submit" disabled={busy}>
        {t('due.water.save')}
      </Button>
      <span role="status" className="soft">
        {said}
      </span>
      <ProblemAlert problems={problems} />
    </form>
  )
}
