'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { dilutionStyles, writeDilution } from '@/core/dilution'
import { WearFields, wearFieldPaths, type WearSettings } from './WearFields'
import { estimateIds, houseEstimates, type EstimateId } from '@/core/estimates/houseEstimates'
import { schoolNames, schoolTexts, type SchoolName, type Schools } from '@/core/schools/schools'
import type { Problem } from '@/core/result'
import type { Settings } from '@/contracts/settings'
import { DraftNote } from '../form/DraftNote'
import { ProblemAlert } from '../form/ProblemAlert'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'

interface SettingsFormProps {
  /** Of what is saved. */
  readonly version: number
  readonly initial: Settings
  readonly save: (input: unknown) => Promise<{ readonly problems: readonly Problem[] }>
}

const equipmentFields = [
  { path: 'smallestMeasureMillilitres', label: 'Smallest measure, ml' },
  { path: 'bucketLitres', label: 'Wheel bucket, litres' },
  { path: 'pressureBar', label: 'Washer pressure, bar' },
  { path: 'lance.washerLitresPerMinute', label: 'Washer flow, l/min' },
  { path: 'lance.drawLitresPerMinute', label: 'Lance draw, l/min' },
] as const

const plain = (value: number): string => String(Number(value.toPrecision(4)))

/** A shop's settings: the schools with their reasons, units and equipment, and every house estimate, open to be changed. */
export function SettingsForm({ initial, version, save }: SettingsFormProps) {
  const [shop, setShop] = useState({
    shopName: initial.shopName,
    currency: initial.currency,
    dilutionStyle: initial.dilutionStyle as string,
    ounces: initial.ounces ?? '',
    northern: initial.northern,
  })
  const [place, setPlace] = useState({
    latitude: initial.place ? String(initial.place.latitude) : '',
    longitude: initial.place ? String(initial.place.longitude) : '',
  })
  const [schools, setSchools] = useState<Schools>(initial.schools)
  const [equipment, setEquipment] = useState<Record<string, string>>({
    smallestMeasureMillilitres: plain(initial.equipment.smallestMeasureMillilitres),
    bucketLitres: plain(initial.equipment.bucketLitres),
    pressureBar: plain(initial.equipment.pressureBar),
    'lance.washerLitresPerMinute': plain(initial.equipment.lance.washerLitresPerMinute),
    'lance.drawLitresPerMinute': plain(initial.equipment.lance.drawLitresPerMinute),
  })
  const [estimates, setEstimates] = useState<Partial<Record<EstimateId, string>>>(
    Object.fromEntries(Object.entries(initial.estimates).map(([id, value]) => [id, plain(value)])),
  )
  const [wear, setWear] = useState<WearSettings>({
    winterMonths: initial.winterMonths ?? [],
    salt: initial.salt,
    filter: {
      resinLitres: initial.filter ? plain(initial.filter.resinLitres) : '',
      hardnessPpm: initial.filter ? plain(initial.filter.hardnessPpm) : '',
      litresPerVisit: initial.filter ? plain(initial.filter.litresPerVisit) : '',
    },
  })
  const { problems, busy, send } = useSending()
  const [saved, setSaved] = useState(false)
  const draft = useDraft(
    'settings',
    version,
    { shop, place, schools, equipment, estimates, wear },
    (kept) => {
      setShop(kept.shop)
      setPlace(kept.place)
      setSchools(kept.schools)
      setEquipment(kept.equipment)
      setEstimates(kept.estimates)
      if (kept.wear) setWear(kept.wear)
    },
  )
  const mendOf = (path: string) => problems.find((problem) => problem.path === path)?.mend
  const number = (text: string | undefined): number | string => {
    const value = Number((text ?? '').trim().replace(',', '.'))
    return (text ?? '').trim() === '' || !Number.isFinite(value) ? (text ?? '') : value
  }
  const touch = () => setSaved(false)
  const submit = () =>
    send(
      () =>
        save({
          ...shop,
          ounces: shop.ounces || null,
          place:
            place.latitude.trim() === '' && place.longitude.trim() === ''
              ? null
              : { latitude: number(place.latitude), longitude: number(place.longitude) },
          schools,
          winterMonths: wear.winterMonths.length === 0 ? null : wear.winterMonths,
          salt: wear.salt,
          filter: Object.values(wear.filter).every((text) => text.trim() === '')
            ? null
            : {
                resinLitres: number(wear.filter.resinLitres),
                hardnessPpm: number(wear.filter.hardnessPpm),
                ...(wear.filter.litresPerVisit.trim() === ''
                  ? {}
                  : { litresPerVisit: number(wear.filter.litresPerVisit) }),
              },
          equipment: {
            smallestMeasureMillilitres: number(equipment.smallestMeasureMillilitres),
            bucketLitres: number(equipment.bucketLitres),
            pressureBar: number(equipment.pressureBar),
            lance: {
              washerLitresPerMinute: number(equipment['lance.washerLitresPerMinute']),
              drawLitresPerMinute: number(equipment['lance.drawLitresPerMinute']),
            },
          },
          estimates: Object.fromEntries(
            Object.entries(estimates)
              .filter(([, text]) => (text ?? '').trim() !== '')
              .map(([id, text]) => [id, number(text)]),
          ),
        }),
      () => {
        setSaved(true)
        draft.forget()
      },
    )
  const shown = new Set(['shopName', 'currency', 'place.latitude', 'place.longitude', ...wearFieldPaths, ...equipmentFields.map(({ path }) => `equipment.${path}`), ...estimateIds.map((id) => `estimates.${id}`)]) // prettier-ignore
  return (
    <form
      className="settings-form"
      noValidate
      onChange={touch}
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
    >
      <section aria-labelledby="schools">
        <DraftNote draft={draft} />
        <div className="section-head">
          <h2 id="schools">Where practitioners disagree</h2>
        </div>
        <ul className="rows">
          {schoolNames.map((name) => (
            <SchoolRow
              key={name}
              name={name}
              value={schools[name]}
              choose={(value) => {
                setSchools({ ...schools, [name]: value })
                touch()
              }}
            />
          ))}
        </ul>
      </section>
      <div>
        <section aria-labelledby="shop">
          <div className="section-head">
            <h2 id="shop">Shop, units, equipment</h2>
          </div>
          <div className="field-grid">
            <Form.Group controlId="shopName">
              <Form.Label>Shop name</Form.Label>
              <Form.Control
                value={shop.shopName}
                isInvalid={mendOf('shopName') !== undefined}
                onChange={(event) => setShop({ ...shop, shopName: event.target.value })}
              />
              <Form.Control.Feedback type="invalid">{mendOf('shopName')}</Form.Control.Feedback>
            </Form.Group>
            <Form.Group controlId="currency">
              <Form.Label>Currency</Form.Label>
              <Form.Control
                value={shop.currency}
                maxLength={3}
                isInvalid={mendOf('currency') !== undefined}
                onChange={(event) => setShop({ ...shop, currency: event.target.value.toUpperCase() })}
              />
              <Form.Control.Feedback type="invalid">{mendOf('currency')}</Form.Control.Feedback>
            </Form.Group>
            <Form.Group controlId="dilutionStyle">
              <Form.Label>Strengths written as</Form.Label>
              <Form.Select
                value={shop.dilutionStyle}
                onChange={(event) => setShop({ ...shop, dilutionStyle: event.target.value })}
              >
                {dilutionStyles.map((style) => (
                  <option key={style} value={style}>
                    {writeDilution({ from: 1 / 11, to: 1 / 11 }, style)}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
            <Form.Group controlId="ounces">
              <Form.Label>Ounces and gallons</Form.Label>
              <Form.Select
                value={shop.ounces}
                onChange={(event) => setShop({ ...shop, ounces: event.target.value as '' })}
              >
                <option value="">ask every time</option>
                <option value="us">US</option>
                <option value="imperial">imperial</option>
              </Form.Select>
            </Form.Group>
            <Form.Group controlId="northern">
              <Form.Label>Winter is around</Form.Label>
              <Form.Select
                value={shop.northern ? 'north' : 'south'}
                onChange={(event) => setShop({ ...shop, northern: event.target.value === 'north' })}
              >
                <option value="north">January</option>
                <option value="south">July</option>
              </Form.Select>
            </Form.Group>
            {(['latitude', 'longitude'] as const).map((key) => (
              <Form.Group key={key} controlId={key}>
                <Form.Label>
                  {key === 'latitude' ? 'Latitude, north is positive' : 'Longitude, east is positive'}
                </Form.Label>
                <Form.Control
                  inputMode="decimal"
                  value={place[key]}
                  placeholder="for the sun"
                  isInvalid={mendOf(`place.${key}`) !== undefined}
                  onChange={(event) => setPlace({ ...place, [key]: event.target.value })}
                />
                <Form.Control.Feedback type="invalid">{mendOf(`place.${key}`)}</Form.Control.Feedback>
              </Form.Group>
            ))}
            {equipmentFields.map(({ path, label }) => (
              <Form.Group key={path} controlId={path}>
                <Form.Label>{label}</Form.Label>
                <Form.Control
                  inputMode="decimal"
                  value={equipment[path] ?? ''}
                  isInvalid={mendOf(`equipment.${path}`) !== undefined}
                  onChange={(event) => setEquipment({ ...equipment, [path]: event.target.value })}
                />
                <Form.Control.Feedback type="invalid">{mendOf(`equipment.${path}`)}</Form.Control.Feedback>
              </Form.Group>
            ))}
          </div>
        </section>
        <WearFields
          value={wear}
          onChange={(next) => {
            setWear(next)
            touch()
          }}
          mendOf={mendOf}
        />
        <section aria-labelledby="estimates">
          <div className="section-head">
            <h2 id="estimates">House estimates</h2>
          </div>
          <p className="soft mt-2">
            Numbers nobody published. Each has its reason; put your own in its place, or empty the field for
            the house’s.
          </p>
          <details>
            <summary>All {estimateIds.length} of them</summary>
            <ul className="rows">
              {estimateIds.map((id) => {
                const { value, unit, reason } = houseEstimates[id]
                const mend = mendOf(`estimates.${id}`)
                return (
                  <li key={id} className="row-item estimate-row">
                    <label htmlFor={`estimate-${id}`}>
                      {id.replace(/([A-Z0-9]+)/g, ' $1').toLowerCase()}
                      <br />
                      <span className="soft">{reason}</span>
                    </label>
                    <span>
                      <Form.Control
                        id={`estimate-${id}`}
                        inputMode="decimal"
                        placeholder={plain(value)}
                        value={estimates[id] ?? ''}
                        isInvalid={mend !== undefined}
                        onChange={(event) => setEstimates({ ...estimates, [id]: event.target.value })}
                      />
                      <span className="soft">{unit}</span>
                      {mend && <span className="invalid-feedback d-block">{mend}</span>}
                    </span>
                  </li>
                )
              })}
            </ul>
          </details>
        </section>
      </div>
      <div className="settings-save" aria-live="polite">
        <ProblemAlert problems={problems.filter(({ path }) => !shown.has(path))} />
        <Button type="submit" disabled={busy}>
          {busy ? 'Saving …' : 'Save the settings'}
        </Button>{' '}
        {saved && <span role="status">Saved.</span>}
        {problems.length > 0 && <span>Nothing was saved; see the marked fields.</span>}
      </div>
    </form>
  )
}

interface SchoolRowProps {
  readonly name: SchoolName
  readonly value: Schools[SchoolName]
  readonly choose: (value: Schools[SchoolName]) => void
}

function SchoolRow({ name, value, choose }: SchoolRowProps) {
  const { question, choices, reason } = schoolTexts[name]
  return (
    <li className="row-item">
      <div className="school-row" role="group" aria-label={question}>
        <div>
          {question}
          <br />
          <span className="soft">
            Default: {choices[0]?.text.toLowerCase()}. {reason}
          </span>
        </div>
        <div className="chips">
          {choices.map((choice) => (
            <button
              key={String(choice.value)}
              type="button"
              className="chip"
              aria-pressed={choice.value === value}
              onClick={() => choose(choice.value)}
            >
              {choice.text}
            </button>
          ))}
        </div>
      </div>
    </li>
  )
}
