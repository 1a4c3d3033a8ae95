'use client'

import { useLocale, useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { estimateIds } from '@/core/estimates/houseEstimates'
import { regionOfTag } from '@/i18n/regionTag'
import type { SaidProblem } from '@/i18n/saidProblems'
import type { Settings } from '@/contracts/settings'
import { DraftNote } from '../form/DraftNote'
import { ProblemAlert } from '../form/ProblemAlert'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'
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
  readonly save: (from: unknown, input: unknown) => Promise<{ readonly problems: readonly SaidProblem[] }>
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
  const [values, setValues] = useState(() => valuesOf(initial, region))
  /** What is typed here was typed over this; after a save, over what was saved. */
  const [from, setFrom] = useState<unknown>(initial)
  const [saved, setSaved] = useState(false)
  const { problems, busy, send } = useSending()
  const draft = useDraft('settings', version, values, setValues)
  const change = (part: Partial<SettingsValues>) => {
    setValues((known) => ({ ...known, ...part }))
    setSaved(false)
  }
  const fixOf = (path: string) => problems.find((problem) => problem.path === path)?.fix
  const submit = () => {
    const input = inputOf(values)
    send(
      () => save(from, input),
      () => {
        setFrom(input)
        setSaved(true)
        draft.forget()
      },
    )
  }
  return (
    <form
      className="settings-form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
    >
      <section aria-labelledby="methods">
        <DraftNote draft={draft} />
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
      <div className="settings-save" aria-live="polite">
        <ProblemAlert problems={problems.filter(({ path }) => !shown.has(path))} />
        <Button type="submit" disabled={busy}>
          {busy ? t('common.saving') : t('settings.save')}
        </Button>{' '}
        {saved && <span role="status">{t('common.saved')}</span>}
        {problems.length > 0 && <span>{t('settings.notSaved')}</span>}
      </div>
    </form>
  )
}
