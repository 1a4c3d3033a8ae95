'use client'

import { useTranslations } from 'next-intl'
import { Link } from '@/ui/Link'
import { toolFile } from '@/contracts/cabinet'
import { stiffnesses, toolDuties, toolKinds, usualDuty, type Tool } from '@/core/tools/tool'
import { ChoiceField } from '../form/ChoiceField'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { TextField } from '../form/TextField'
import { typedNumber } from '../form/typedNumber'
import { useWritingForm } from '../form/useWritingForm'
import { idOfName } from './productValues'

const measures = ['diameterMillimetres', 'squeezedMillimetres', 'reachMillimetres'] as const
/** Fields with a place of their own for their problem. */
const placed: readonly string[] = ['name', 'kind', 'stiffness', 'dedicatedTo', ...measures]

type ToolValues = Record<(typeof measures)[number] | 'name', string> &
  Pick<Tool, 'kind' | 'stiffness' | 'dedicatedTo' | 'state'>

const newTool: Omit<Tool, 'id'> = {
  name: '',
  kind: 'barrelBrush',
  stiffness: 'soft',
  dedicatedTo: 'wheel',
  state: 'clean',
  diameterMillimetres: 50,
  squeezedMillimetres: 30,
  reachMillimetres: 300,
}

const valuesOf = (tool: Omit<Tool, 'id'>): ToolValues => ({
  name: tool.name,
  kind: tool.kind,
  stiffness: tool.stiffness,
  dedicatedTo: tool.dedicatedTo,
  state: tool.state,
  diameterMillimetres: String(tool.diameterMillimetres),
  squeezedMillimetres: String(tool.squeezedMillimetres),
  reachMillimetres: String(tool.reachMillimetres),
})

const inputOf = (values: ToolValues, id: string | undefined): unknown => ({
  ...values,
  id: id ?? (idOfName(values.name) || '-'),
  diameterMillimetres: typedNumber(values.diameterMillimetres),
  squeezedMillimetres: typedNumber(values.squeezedMillimetres),
  reachMillimetres: typedNumber(values.reachMillimetres),
})

interface ToolFormProps {
  readonly tool: Tool | null
  /** Of the tool as it is saved; 0 for a new one. */
  readonly version: number
  readonly save: FormAction<unknown>
}

/** Adds or edits a tool. */
export function ToolForm({ tool, version, save }: ToolFormProps) {
  const t = useTranslations()

  const form = useWritingForm<ToolValues>({
    name: ['tool', tool?.id ?? 'new'],
    version,
    initial: valuesOf(tool ?? newTool),
    schema: toolFile,
    inputOf: (values) => inputOf(values, tool?.id),
    send: save,
  })
  return (
    <FormFrame form={form} className="product-form">
      <div className="field-grid">
        <TextField id="name" label={t('cabinet.tool.name')} {...form.at('name')} />
        <ChoiceField
          id="kind"
          label={t('cabinet.tool.kind')}
          value={form.values.kind}
          choices={toolKinds.map((kind) => [kind, t(`terms.toolKind.${kind}`)])}
          set={(kind) => form.change({ kind, dedicatedTo: usualDuty(kind) })}
        />
        {measures.map((name) => (
          <TextField
            key={name}
            id={name}
            label={t(`cabinet.tool.${name}.label`)}
            quantity="length"
            hint={t(`cabinet.tool.${name}.hint`)}
            {...form.at(name)}
          />
        ))}
        <ChoiceField
          id="stiffness"
          label={t('cabinet.tool.bristles')}
          choices={stiffnesses.map((one) => [one, one])}
          {...form.at('stiffness')}
        />
        <ChoiceField
          id="duty"
          label={t('cabinet.tool.dedicatedTo')}
          choices={toolDuties.map((one) => [one, one])}
          {...form.at('dedicatedTo')}
        />
      </div>
      <FormStatus form={form} isAtField={(path) => placed.includes(path)} />
      <div className="chips">
        <SubmitButton form={form}>{tool ? t('cabinet.tool.save') : t('cabinet.tool.add')}</SubmitButton>
        <Link href="/cabinet/tools" className="btn btn-outline-secondary">
          {t('common.cancel')}
        </Link>
      </div>
    </FormFrame>
  )
}
