'use client'

import { DateField } from '../form/DateField'
import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { protectionKinds, type ProtectionKind } from '@/core/protection/kinds'
import type { SaidProblem } from '@/i18n/saidProblems'
import type { Position } from '@/core/wheel/position'
import { localDay, instantOfDay } from '../form/dayInput'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'
import { newId } from '../newId'
import { WheelChips } from './WheelChips'

interface LayerFormProps {
  readonly positions: readonly Position[]
  /** Products of the shop by kind, to choose from; others can be typed. */
  readonly known: readonly { readonly kind: ProtectionKind; readonly name: string }[]
  readonly keep: (input: unknown) => Promise<{ readonly problems: readonly SaidProblem[] }>
}

/** Protection that was put on outside a visit: here, or by somebody else. */
export function LayerForm({ positions, known, keep }: LayerFormProps) {
  const t = useTranslations()

  const [at, setAt] = useState<readonly Position[]>(positions)
  const [kind, setKind] = useState<ProtectionKind>('ceramicCoating')
  const [productName, setProductName] = useState('')
  const [day, setDay] = useState(() => localDay(currentTime()))
  const [coats, setCoats] = useState('1')
  const [appliedBy, setAppliedBy] = useState('')
  const [cureUntil, setCureUntil] = useState('')
  const [requestId, setRequestId] = useState(newId)
  const { problems, busy, send } = useSending()
  return (
    <form
      className="field-grid"
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () =>
            keep({
              requestId,
              positions: at,
              kind,
              productName,
              at: instantOfDay(day),
              coats: Number(coats),
              appliedBy,
              cureUntil: cureUntil === '' ? null : new Date(cureUntil).toISOString(),
            }),
          () => {
            setProductName('')
            setRequestId(newId())
          },
        )
      }}
    >
      <div className="is-wide">
        <WheelChips positions={positions} chosen={at} onChange={setAt} />
      </div>
      <Form.Group controlId="layer-kind">
        <Form.Label>{t('protection.layer.kind')}</Form.Label>
        <Form.Select value={kind} onChange={(event) => setKind(event.target.value as ProtectionKind)}>
          {protectionKinds.map((one) => (
            <option key={one} value={one}>
              {t(`terms.protection.${one}`)}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="layer-product">
        <Form.Label>{t('protection.layer.product')}</Form.Label>
        <Form.Control
          value={productName}
          required
          maxLength={80}
          list="known-products"
          onChange={(event) => setProductName(event.target.value)}
        />
        <datalist id="known-products">
          {known
            .filter((one) => one.kind === kind)
            .map(({ name }) => (
              <option key={name} value={name} />
            ))}
        </datalist>
      </Form.Group>
      <DateField id="layer-day" label={t('protection.layer.appliedOn')} value={day} set={setDay} required />
      <Form.Group controlId="layer-coats">
        <Form.Label>{t('protection.layer.coats')}</Form.Label>
        <Form.Control inputMode="numeric" value={coats} onChange={(event) => setCoats(event.target.value)} />
      </Form.Group>
      <Form.Group controlId="layer-by">
        <Form.Label>{t('protection.layer.by')}</Form.Label>
        <Form.Control
          value={appliedBy}
          maxLength={80}
          placeholder={t('protection.layer.byPlaceholder')}
          onChange={(event) => setAppliedBy(event.target.value)}
        />
      </Form.Group>
      <DateField
        id="layer-cure"
        label={t('protection.layer.cures')}
        value={cureUntil}
        set={setCureUntil}
        hasTime
      />
      <div className="is-wide">
        <Button type="submit" variant="outline-secondary" disabled={busy}>
          {t('protection.layer.save')}
        </Button>
        <ProblemAlert problems={problems} />
      </div>
    </form>
  )
}
