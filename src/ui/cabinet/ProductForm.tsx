'use client'

import { Link } from '@/ui/Link'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { deliveries, deliveryNames, protectionWearNames } from '@/core/chemistry/family'
import { speaksOfFluoride } from '@/core/chemistry/fluoride'
import { familyIds, familyOf, type FamilyId } from '@/core/chemistry/families'
import { soilNames, soils } from '@/core/soils/soil'
import type { FormAction } from '../form/formAction'
import { DraftNote } from '../form/DraftNote'
import { ProblemAlert } from '../form/ProblemAlert'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'
import { inputOf, valuesOfFamily, type ProductValues } from './productValues'

interface ProductFormProps {
  readonly initial: ProductValues
  readonly isNew: boolean
  /** Of the saved state; 0 for a new one. */
  readonly version: number
  readonly currency: string
  readonly save: FormAction<unknown>
}

/** Fields with a place of their own for their problem. */
const placed = ['name', 'strength', 'dwellSeconds', 'dwellSeconds.min', 'dwellSeconds.max', 'packMillilitres', 'packPriceMinor', 'stockMillilitres', 'ratings', 'note'] // prettier-ignore

/** Adds or edits a product: the family fills in what labels of its kind say, the person changes what differs. */
export function ProductForm({ initial, isNew, version, currency, save }: ProductFormProps) {
  const [values, setValues] = useState(initial)
  const { problems, busy, send } = useSending()
  const draft = useDraft(`product.${initial.id || `new ${initial.name}`}`, version, values, setValues)
  const family = familyOf(values.family)
  const asked = {
    name: values.name,
    note: values.note ?? '',
    containsFluoride: values.containsFluoride,
    fluorideChecked: values.fluorideChecked ?? false,
  }
  const set = (changes: Partial<ProductValues>) => setValues({ ...values, ...changes })
  const mendOf = (...paths: string[]) => problems.find(({ path }) => paths.includes(path))?.mend
  const field = (
    name:
      'name' | 'strength' | 'dwellMin' | 'dwellMax' | 'packMillilitres' | 'packPrice' | 'stockMillilitres',
    label: string,
    paths: string[],
    hint?: string,
  ) => (
    <Form.Group controlId={name}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        value={values[name]}
        autoComplete="off"
        inputMode={name === 'name' || name === 'strength' ? undefined : 'decimal'}
        isInvalid={mendOf(...paths) !== undefined}
        onChange={(event) => set({ [name]: event.target.value })}
      />
      <Form.Control.Feedback type="invalid">{mendOf(...paths)}</Form.Control.Feedback>
      {hint && <Form.Text>{hint}</Form.Text>}
    </Form.Group>
  )
  const changeFamily = (next: FamilyId) => {
    const fresh = valuesOfFamily(next)
    setValues({
      ...fresh,
      id: values.id,
      name: values.name,
      packPrice: values.packPrice,
      packMillilitres: values.packMillilitres,
      stockMillilitres: values.stockMillilitres,
      note: values.note,
      containsFluoride: values.containsFluoride,
      fluorideChecked: values.fluorideChecked,
    })
  }
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
      <div className="field-grid">
        {field('name', 'Name', ['name', 'id'])}
        <Form.Group controlId="family">
          <Form.Label>Family</Form.Label>
          <Form.Select
            value={values.family}
            onChange={(event) => changeFamily(event.target.value as FamilyId)}
          >
            {familyIds.map((id) => (
              <option key={id} value={id}>
                {familyOf(id).name}
              </option>
            ))}
          </Form.Select>
          <Form.Text>
            {family.purposeText}
            {family.bleeds && '; turns violet on iron, dark is spent'}
            {family.residue === 2 && '; leaves residue in heat'}
            {family.odour === 2 && '; strong smell'}.
          </Form.Text>
        </Form.Group>
        {field(
          'strength',
          'Strength on the label',
          ['strength'],
          'any way it is written: 1:10 to 1:4, 20 %, neat',
        )}
        <Form.Group controlId="delivery">
          <Form.Label>Put on with</Form.Label>
          <Form.Select value={values.delivery} onChange={(event) => set({ delivery: event.target.value })}>
            {deliveries
              .filter((delivery) => family.carriers.includes(delivery) || delivery === values.delivery)
              .map((delivery) => (
                <option key={delivery} value={delivery}>
                  {deliveryNames[delivery]}
                </option>
              ))}
          </Form.Select>
        </Form.Group>
        {field('dwellMin', 'Shortest dwell, seconds', ['dwellSeconds.min'])}
        {field('dwellMax', 'Longest dwell, seconds', ['dwellSeconds.max', 'dwellSeconds'])}
        {field('packMillilitres', 'Pack, ml', ['packMillilitres'])}
        {field('packPrice', `Price of the pack, ${currency}`, ['packPriceMinor'])}
        {isNew && field('stockMillilitres', 'In stock, ml', ['stockMillilitres'])}
        {family.purpose === 'clean' && (
          <Form.Group controlId="wear">
            <Form.Label>What it does to protection</Form.Label>
            <Form.Select value={values.wear} onChange={(event) => set({ wear: event.target.value })}>
              <option value="">as its family: {protectionWearNames[family.wear]}</option>
              {(['none', 'hardly', 'some', 'strips'] as const).map((wear) => (
                <option key={wear} value={wear}>
                  {protectionWearNames[wear]}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
        )}
      </div>
      {family.purpose === 'clean' && (
        <>
          <h2>What it takes, 0 to 4</h2>
          <p className="soft">
            At label strength and dwell. House estimates until your records say otherwise.
          </p>
          <div className="rating-grid">
            {soils.map((soil) => (
              <Form.Group key={soil} controlId={`rating-${soil}`}>
                <Form.Label>{soilNames[soil]}</Form.Label>
                <Form.Select
                  value={values.ratings[soil] ?? ''}
                  onChange={(event) => set({ ratings: { ...values.ratings, [soil]: event.target.value } })}
                >
                  <option value="">family: {family.ratings[soil] ?? 0}</option>
                  {[0, 1, 2, 3, 4].map((rating) => (
                    <option key={rating} value={rating}>
                      {rating}
                    </option>
                  ))}
                </Form.Select>
              </Form.Group>
            ))}
          </div>
          {mendOf('ratings') && <ProblemAlert problems={problems.filter(({ path }) => path === 'ratings')} />}
        </>
      )}
      <h2>Other packs</h2>
      {values.otherPacks.map((pack, index) => {
        const setPack = (changes: Partial<typeof pack>) =>
          set({
            otherPacks: values.otherPacks.map((one, at) => (at === index ? { ...one, ...changes } : one)),
          })
        return (
          <div key={index} className="pack-row">
            <Form.Control
              aria-label={`Pack ${index + 2}, ml`}
              placeholder="ml"
              inputMode="decimal"
              value={pack.millilitres}
              isInvalid={mendOf(`otherPacks[${index}].millilitres`) !== undefined}
              onChange={(event) => setPack({ millilitres: event.target.value })}
            />
            <Form.Control
              aria-label={`Pack ${index + 2}, price`}
              placeholder={currency}
              inputMode="decimal"
              value={pack.price}
              isInvalid={mendOf(`otherPacks[${index}].priceMinor`) !== undefined}
              onChange={(event) => setPack({ price: event.target.value })}
            />
            <button
              type="button"
              className="link-button"
              onClick={() => set({ otherPacks: values.otherPacks.filter((_, at) => at !== index) })}
            >
              Remove
            </button>
          </div>
        )
      })}
      {values.otherPacks.length < 8 && (
        <button
          type="button"
          className="link-button"
          onClick={() => set({ otherPacks: [...values.otherPacks, { millilitres: '', price: '' }] })}
        >
          Add a pack size
        </button>
      )}
      <Form.Group controlId="note" className="mt-3">
        <Form.Label>Note</Form.Label>
        <Form.Control
          as="textarea"
          rows={2}
          value={values.note ?? ''}
          isInvalid={mendOf('note') !== undefined}
          onChange={(event) => set({ note: event.target.value })}
        />
        <Form.Control.Feedback type="invalid">{mendOf('note')}</Form.Control.Feedback>
      </Form.Group>
      <Form.Check
        className="mt-3"
        id="fluoride"
        type="checkbox"
        label="The safety data sheet names fluoride (it is then never planned with)"
        checked={values.containsFluoride}
        onChange={(event) => set({ containsFluoride: event.target.checked })}
      />
      {speaksOfFluoride({ ...asked, fluorideChecked: false }) && (
        <Form.Check
          id="fluoride-checked"
          type="checkbox"
          label="Name or note speak of fluoride: I read the safety data sheet, and it names none"
          checked={asked.fluorideChecked}
          onChange={(event) => set({ fluorideChecked: event.target.checked })}
        />
      )}
      <div aria-live="polite">
        <ProblemAlert problems={problems.filter(({ path }) => !placed.includes(path))} />
      </div>
      <div className="chips mt-3">
        <Button type="submit" disabled={busy}>
          {busy ? 'Saving …' : isNew ? 'Add it' : 'Save it'}
        </Button>
        <Link href="/cabinet" className="btn btn-outline-secondary">
          Leave
        </Link>
      </div>
    </form>
  )
}
