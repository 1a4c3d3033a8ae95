import { useTranslations } from 'next-intl'
import type { DilutionReading } from '@/core/dilution/readDilution'
import type { Mix } from '@/core/dilution/mix'
import { writeDilution } from '@/core/dilution/writeDilution'
import type { Spoken } from '@/i18n/spoken'
import { ChoiceField } from '../form/ChoiceField'
import { ContainerQuestion } from '../form/ContainerQuestion'
import { TextField } from '../form/TextField'
import type { WritingForm } from '../form/useWritingForm'
import type { MixValues } from './mixValues'

interface MixFieldsProps {
  readonly form: WritingForm<MixValues>
  readonly products: readonly { readonly id: string; readonly name: string; readonly strength: Mix }[]
  readonly reading: Spoken<DilutionReading>
}

/** Which product, how much, and how strong; asks where the strength can be meant in several ways. */
export function MixFields({ form, products, reading }: MixFieldsProps) {
  const t = useTranslations()

  const { values, change } = form
  const choose = (productId: string) => {
    const next = products.find(({ id }) => id === productId)
    change({ productId, ...(next ? { said: writeDilution(next.strength), answer: null } : {}) })
  }
  return (
    <>
      <div className="field-grid">
        <ChoiceField
          id="product"
          label={t('mixing.product')}
          value={values.productId}
          choices={products.map(({ id, name }) => [id, name])}
          set={choose}
          fix={form.fixOf('productId')}
        />
        <TextField
          id="total"
          label={t('mixing.totalMillilitres')}
          quantity="volume"
          {...form.at('totalMillilitres')}
        />
        <TextField
          id="strength"
          className="is-wide"
          label={t('mixing.dilution.label')}
          maxLength={200}
          value={values.said}
          set={(said) => change({ said, answer: null })}
          fix={reading.kind === 'unreadable' ? reading.fix : undefined}
          hint={t('mixing.dilution.examples')}
        />
      </div>
      {reading.kind === 'open' && (
        <div role="group" aria-label={reading.question}>
          <p>
            <b>{reading.question}</b>
          </p>
          <div className="chips mt-2">
            {reading.choices.map(({ label }) => (
              <button
                key={label}
                type="button"
                className="chip"
                aria-pressed={values.answer === label}
                onClick={() => change({ answer: label })}
              >
                {label}
              </button>
            ))}
          </div>
        </div>
      )}
      {reading.kind === 'needs' && (
        <ContainerQuestion
          container={reading.need}
          question={reading.question}
          holds={values.holds}
          change={(holds) => change({ holds })}
        />
      )}
    </>
  )
}
