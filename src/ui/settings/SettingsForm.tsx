'use client'

import { useLocale, useTranslations } from 'next-intl'
import { useState } from 'react'
import { estimateIds } from '@/core/estimates/houseEstimates'
import { regionOfTag } from '@/i18n/regionTag'
import type { Settings } from '@/contracts/settings'
import type { FormAnswer } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { useWritingForm } from '../form/useWritingForm'
import { EstimateRows } from './EstimateRows'
import { MethodRows } from './MethodRows'
import { equipmentFields, inputOf, valuesOf, type SettingsValues } from './settingsValues'
import { RegionFields } from './RegionFields'
import { ShopFields } from './ShopFields'
import { WearFields, wearFieldPaths } from './WearFields'

interface SettingsFormProps {
  /** Of what is saved. */
  readonly version: number
  readonly initial: Settings
  /** Saves what was changed from the settings given first. */
  readonly save: (from: unknown, input: unknown) => Promise<FormAnswer>
}

/** Paths whose problems stand at their field. */
const shown = new Set([
  'shopName',
  'currency',
  'place.latitude',
  'place.longitude',
  ...wearFieldPaths,
  ...equipmentFields.map(({ path }) => `equipment.${path}`),
  ...estimateIds.map((id) => `estimates.${id}`),
])

/** A shop's settings: the methods with their reasons, units and equipment, and every house estimate, open to be changed. */
export function SettingsForm({ initial, version, save }: SettingsFormProps) {
  const t = useTranslations()

  const region = regionOfTag(useLocale())
  /** What is typed here was typed over this; after a save, over what was saved. */
  const [from, setFrom] = useState<unknown>(initial)
  const form = useWritingForm<SettingsValues>({
    name: ['settings'],
    version,
    initial: valuesOf(initial, region),
    inputOf,
    send: (input) => save(from, input),
    whenSent: (sent) => setFrom(inputOf(sent)),
  })
  const { values, change, fixOf } = form
  return (
    <FormFrame form={form} className="settings-form">
      <section aria-labelledby="methods">
        <MethodRows value={values.schools} change={(schools) => change({ schools })} />
      </section>
      <div>
        <section aria-labelledby="units">
          <div className="section-head">
            <h2 id="units">{t('settings.region.title')}</h2>
          </div>
          <p className="soft">{t('settings.region.explained')}</p>
          <RegionFields value={values.region} change={(region) => change({ region })} />
        </section>
        <ShopFields value={values} change={change} fixOf={fixOf} />
        <WearFields value={values.wear} onChange={(wear) => change({ wear })} fixOf={fixOf} />
        <EstimateRows value={values.estimates} change={(estimates) => change({ estimates })} fixOf={fixOf} />
      </div>
      <div className="settings-save">
        <SubmitButton form={form}>{t('settings.save')}</SubmitButton>
        <FormStatus form={form} isAtField={(path) => shown.has(path)} />
        {form.problems.length > 0 && <span>{t('settings.notSaved')}</span>}
      </div>
    </FormFrame>
  )
}
