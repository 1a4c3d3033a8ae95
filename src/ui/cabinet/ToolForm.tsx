'use client'

import { QuantityInput } from '@/ui/form/QuantityInput'
import { useTranslations } from 'next-intl'
import { Link } from '@/ui/Link'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { stiffnesses, toolDuties, toolKinds, usualDuty, type Tool, type ToolKind } from '@/core/tools/tool'
import type { FormAction } from '../form/formAction'
import { DraftNote } from '../form/DraftNote'
import { ProblemAlert } from '../form/ProblemAlert'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'
import { idOfName } from './productValues'

const measures = ['diameterMillimetres', 'squeezedMillimetres', 'reachMillimetres'] as const

type Values = Record<(typeof measures)[number] | 'name', string> &
  Pick<Tool, 'kind' | 'stiffness' | 'dedicatedTo' | 'state'>

interface ToolFormProps {
  readonly tool: Tool | null
  /** Of the tool as it is saved; 0 for a new one. */
  readonly version: number
  readonly save: FormAction<unknown>
}

/** Adds or edits a tool. */
export function ToolForm({ tool, version, save }: ToolFormProps) {
  const t = useTranslations()

  const [values, setValues] = useState<Values>({
    name: tool?.name ?? '',
    kind: tool?.kind ?? 'barrelBrush',
    stiffness: tool?.stiffness ?? 'soft',
    dedicatedTo: tool?.dedicatedTo ?? 'wheel',
    state: tool?.state ?? 'clean',
    diameterMillimetres: String(tool?.diameterMillimetres ?? 50),
    squeezedMillimetres: String(tool?.squeezedMillimetres ?? 30),
    reachMillimetres: String(tool?.reachMillimetres ?? 300),
  })
  const { problems, busy, send } = useSending()
  const draft = useDraft(`tool.${tool?.id ?? 'new'}`, version, values, setValues)
  const fixOf = (path: string) => problems.find((problem) => problem.path === path)?.fix
  const number = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(',', '.')))
  return (
    <form
      className="product-form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () =>
            save({
              ...values,
              id: tool?.id ?? (idOfName(values.name) || '-'),
              diameterMillimetres: number(values.diameterMillimetres),
              squeezedMillimetres: number(values.squeezedMillimetres),
              reachMillimetres: number(values.reachMillimetres),
            }),
          () => draft.forget(),
        )
      }}
    >
      <DraftNote draft={draft} />
      <div className="field-grid">
        <Form.Group controlId="name">
          <Form.Label>{t('cabinet.tool.name')}</Form.Label>
          <Form.Control
            value={values.name}
            isInvalid={fixOf('name') !== undefined}
            onChange={(event) => setValues({ ...values, name: event.target.value })}
          />
          <Form.Control.Feedback type="invalid">{fixOf('name')}</Form.Control.Feedback>
        </Form.Group>
        <Form.Group controlId="kind">
          <Form.Label>{t('cabinet.tool.kind')}</Form.Label>
          <Form.Select
            value={values.kind}
            onChange={(event) => {
              const kind = event.target.value as ToolKind
              setValues({ ...values, kind, dedicatedTo: usualDuty(kind) })
            }}
          >
            {toolKinds.map((kind) => (
              <option key={kind} value={kind}>
                {t(`terms.toolKind.${kind}`)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        {measures.map((name) => (
          <Form.Group key={name} controlId={name}>
            <Form.Label>{t(`cabinet.tool.${name}.label`)}</Form.Label>
            <QuantityInput
              kind="length"
              value={values[name]}
              isInvalid={fixOf(name) !== undefined}
              set={(text) => setValues({ ...values, [name]: text })}
            />
            <Form.Control.Feedback type="invalid">{fixOf(name)}</Form.Control.Feedback>
            <Form.Text>{t(`cabinet.tool.${name}.hint`)}</Form.Text>
          </Form.Group>
        ))}
        <Form.Group controlId="stiffness">
          <Form.Label>{t('cabinet.tool.bristles')}</Form.Label>
          <Form.Select
            value={values.stiffness}
            onChange={(event) => setValues({ ...values, stiffness: event.target.value as Tool['stiffness'] })}
          >
            {stiffnesses.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="duty">
          <Form.Label>{t('cabinet.tool.dedicatedTo')}</Form.Label>
          <Form.Select
            value={values.dedicatedTo}
            onChange={(event) =>
              setValues({ ...values, dedicatedTo: event.target.value as Tool['dedicatedTo'] })
            }
          >
            {toolDuties.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Form.Select>
        </Form.Group>
      </div>
      <div aria-live="polite">
        <ProblemAlert
          problems={problems.filter(({ path }) => path !== 'name' && !measures.some((name) => name === path))}
        />
      </div>
      <div className="chips">
        <Button type="submit" disabled={busy}>
          {busy ? t('common.saving') : tool ? t('cabinet.tool.save') : t('cabinet.tool.add')}
        </Button>
        <Link href="/cabinet/tools" className="btn btn-outline-secondary">
          {t('common.cancel')}
        </Link>
      </div>
    </form>
  )
}
