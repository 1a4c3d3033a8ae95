import { QuantityInput } from '@/ui/form/QuantityInput'
import { useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import type { ProductValues } from './productValues'

type Packs = ProductValues['otherPacks']

const maxPacks = 8

interface PackRowsProps {
  readonly packs: Packs
  readonly currency: string
  readonly change: (packs: Packs) => void
  readonly fixOf: (path: string) => string | undefined
}

/** Other sizes it can be bought in, each with its price. */
export function PackRows({ packs, currency, change, fixOf }: PackRowsProps) {
  const t = useTranslations()

  const set = (index: number, part: Partial<Packs[number]>) =>
    change(packs.map((pack, at) => (at === index ? { ...pack, ...part } : pack)))
  return (
    <>
      {packs.map((pack, index) => (
        <div key={index} className="pack-row">
          <QuantityInput
            kind="volume"
            label={t('cabinet.product.packs.size', { number: index + 2 })}
            value={pack.millilitres}
            isInvalid={fixOf(`otherPacks[${index}].millilitres`) !== undefined}
            set={(millilitres) => set(index, { millilitres })}
          />
          <Form.Control
            aria-label={t('cabinet.product.packs.price', { number: index + 2 })}
            placeholder={currency}
            inputMode="decimal"
            value={pack.price}
            isInvalid={fixOf(`otherPacks[${index}].priceMinor`) !== undefined}
            onChange={(event) => set(index, { price: event.target.value })}
          />
          <button
            type="button"
            className="link-button"
            onClick={() => change(packs.filter((_, at) => at !== index))}
          >
            {t('cabinet.product.packs.remove')}
          </button>
        </div>
      ))}
      {packs.length < maxPacks && (
        <button
          type="button"
          className="link-button"
          onClick={() => change([...packs, { millilitres: '', price: '' }])}
        >
          {t('cabinet.product.packs.add')}
        </button>
      )}
    </>
  )
}
