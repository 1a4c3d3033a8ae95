import { useTranslations } from 'next-intl'
import { X } from 'lucide-react'
import { useState } from 'react'
import { Cost } from '../frame/CostsShown'
import Form from 'react-bootstrap/Form'
import { minorPerUnit } from '@/core/quantity/money'
import type { Wishes } from '@/core/job/job'

interface WishBarProps {
  readonly wishes: Wishes
  readonly currency: string
  readonly nameOf: (productId: string) => string
  readonly wish: (changes: Partial<Wishes>) => void
}

const numberOf = (text: string): number | undefined => {
  const value = Number(text.replace(',', '.'))
  return text.trim() === '' || !Number.isFinite(value) || value <= 0 ? undefined : value
}

/** Limits on time and money, and what was pinned or ruled out. Each change is planned at once. */
export function WishBar({ wishes, currency, nameOf, wish }: WishBarProps) {
  'use memo'
  const t = useTranslations()

  const [minutes, setMinutes] = useState(String(wishes.minutesAllowed ?? ''))
  const [money, setMoney] = useState(
    wishes.costAllowedMinor === undefined ? '' : String(wishes.costAllowedMinor / minorPerUnit(currency)),
  )
  const without = (list: readonly string[], id: string) => list.filter((one) => one !== id)
  return (
    <div className="wish-bar">
      <Form.Group className="field" controlId="minutes-allowed">
        <Form.Label>{t('plan.wishes.minutes')}</Form.Label>
        <Form.Control
          inputMode="numeric"
          value={minutes}
          placeholder={t('plan.wishes.noLimit')}
          onChange={(event) => {
            setMinutes(event.target.value)
            wish({ minutesAllowed: numberOf(event.target.value) })
          }}
        />
      </Form.Group>
      <Cost>
        <Form.Group className="field" controlId="money-allowed">
          <Form.Label>{t('plan.wishes.money', { currency })}</Form.Label>
          <Form.Control
            inputMode="decimal"
            value={money}
            placeholder={t('plan.wishes.noLimit')}
            onChange={(event) => {
              setMoney(event.target.value)
              const value = numberOf(event.target.value)
              wish({
                costAllowedMinor:
                  value === undefined ? undefined : Math.round(value * minorPerUnit(currency)),
              })
            }}
          />
        </Form.Group>
      </Cost>
      <ul className="wish-chips" aria-label={t('plan.wishes.label')}>
        {wishes.pinned.map((id) => (
          <li key={`pinned ${id}`}>
            <button
              type="button"
              className="chip"
              onClick={() => wish({ pinned: without(wishes.pinned, id) })}
            >
              {t('plan.wishes.always', { product: nameOf(id) })} <X aria-hidden size={16} />
              <span className="visually-hidden">{t('plan.wishes.remove')}</span>
            </button>
          </li>
        ))}
        {wishes.forbidden.map((id) => (
          <li key={`forbidden ${id}`}>
            <button
              type="button"
              className="chip"
              onClick={() => wish({ forbidden: without(wishes.forbidden, id) })}
            >
              {t('plan.wishes.never', { product: nameOf(id) })} <X aria-hidden size={16} />
              <span className="visually-hidden">{t('plan.wishes.remove')}</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}
