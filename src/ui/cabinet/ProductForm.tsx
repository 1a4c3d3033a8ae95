'use client'

import { useTranslations } from 'next-intl'
import { Link } from '@/ui/Link'
import { productFile } from '@/contracts/cabinet'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { TextField } from '../form/TextField'
import { useWritingForm } from '../form/useWritingForm'
import { FluorideChecks } from './FluorideChecks'
import { LabelFields } from './LabelFields'
import { PackRows } from './PackRows'
import { inputOf, type ProductValues } from './productValues'
import { RatingFields } from './RatingFields'

interface ProductFormProps {
  readonly initial: ProductValues
  readonly isNew: boolean
  /** Of the saved state; 0 for a new one. */
  readonly version: number
  readonly currency: string
  readonly save: FormAction<unknown>
}

/** Fields with a place of their own for their problem. */
const placed = ['name', 'strength', 'dwellSeconds', 'dwellSeconds.min', 'dwellSeconds.max', 'packMillilitres', 'packPriceMinor', 'stockMillilitres', 'note'] // prettier-ignore

/** Adds or edits a product: the family fills in what labels of its kind say, the person changes what differs. */
export function ProductForm({ initial, isNew, version, currency, save }: ProductFormProps) {
  const t = useTranslations()

  const form = useWritingForm<ProductValues>({
    name: ['product', initial.id || `new ${initial.name}`],
    version,
    initial,
    schema: productFile,
    inputOf: (typed) => inputOf(typed, currency),
    send: save,
  })
  const { values, change, fixOf } = form
  return (
    <FormFrame form={form} className="product-form">
      <LabelFields values={values} isNew={isNew} currency={currency} change={change} fixOf={fixOf} />
      <RatingFields values={values} change={(ratings) => change({ ratings })} />
      <h2>{t('cabinet.product.packs.title')}</h2>
      <PackRows
        packs={values.otherPacks}
        currency={currency}
        change={(otherPacks) => change({ otherPacks })}
        fixOf={fixOf}
      />
      <TextField id="note" className="mt-3" label={t('cabinet.product.note')} rows={2} {...form.at('note')} />
      <FluorideChecks values={values} change={change} />
      <FormStatus form={form} isAtField={(path) => placed.includes(path)} />
      <div className="chips mt-3">
        <SubmitButton form={form}>
          {isNew ? t('cabinet.product.add') : t('cabinet.product.save')}
        </SubmitButton>
        <Link href="/cabinet" className="btn btn-outline-secondary">
          {t('common.cancel')}
        </Link>
      </div>
    </FormFrame>
  )
}
