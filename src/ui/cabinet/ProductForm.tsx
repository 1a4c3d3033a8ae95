'use client'

import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from '@/ui/Link'
import type { FormAction } from '../form/formAction'
import { DraftNote } from '../form/DraftNote'
import { ProblemAlert } from '../form/ProblemAlert'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'
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

  const [values, setValues] = useState(initial)
  const { problems, busy, send } = useSending()
  const draft = useDraft(`product.${initial.id || `new ${initial.name}`}`, version, values, setValues)
  const change = (part: Partial<ProductValues>) => setValues({ ...values, ...part })
  const fixOf = (...paths: string[]) => problems.find(({ path }) => paths.includes(path))?.fix
  return (
    <form
      className="product-form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () => save(inputOf(values, currency)),
          () => draft.forget(),
        )
      }}
    >
      <DraftNote draft={draft} />
      <LabelFields values={values} isNew={isNew} currency={currency} change={change} fixOf={fixOf} />
      <RatingFields values={values} change={(ratings) => change({ ratings })} />
      <h2>{t('cabinet.product.packs.title')}</h2>
      <PackRows
        packs={values.otherPacks}
        currency={currency}
        change={(otherPacks) => change({ otherPacks })}
        fixOf={fixOf}
      />
      <Form.Group controlId="note" className="mt-3">
        <Form.Label>{t('cabinet.product.note')}</Form.Label>
        <Form.Control
          as="textarea"
          rows={2}
          value={values.note ?? ''}
          isInvalid={fixOf('note') !== undefined}
          onChange={(event) => change({ note: event.target.value })}
        />
        <Form.Control.Feedback type="invalid">{fixOf('note')}</Form.Control.Feedback>
      </Form.Group>
      <FluorideChecks values={values} change={change} />
      <div aria-live="polite">
        <ProblemAlert problems={problems.filter(({ path }) => !placed.includes(path))} />
      </div>
      <div className="chips mt-3">
        <Button type="submit" disabled={busy}>
          {busy ? t('common.saving') : isNew ? t('cabinet.product.add') : t('cabinet.product.save')}
        </Button>
        <Link href="/cabinet" className="btn btn-outline-secondary">
          {t('common.cancel')}
        </Link>
      </div>
    </form>
  )
}
