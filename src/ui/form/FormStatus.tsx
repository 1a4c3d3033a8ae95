import { useTranslations } from 'next-intl'
import type { FieldValues } from 'react-hook-form'
import { ProblemAlert } from './ProblemAlert'
import type { WritingForm } from './useWritingForm'

interface FormStatusProps<Values extends FieldValues> {
  readonly form: WritingForm<Values>
  /** Whether the problem of a path stands at its field; absent: none does. */
  readonly isAtField?: (path: string) => boolean
  /** What is said when it was saved. */
  readonly saved?: string
}

/** How a form stands: saved, not saved yet, or what was refused at no field of it. */
export function FormStatus<Values extends FieldValues>({ form, isAtField, saved }: FormStatusProps<Values>) {
  const t = useTranslations()

  const { draft, isSent, problems } = form
  return (
    <div className="form-status" aria-live="polite">
      <ProblemAlert problems={problems.filter(({ path }) => !isAtField?.(path))} />
      {isSent && draft.unsaved === 'no' && <span className="soft">{saved ?? t('common.saved')}</span>}
      {draft.unsaved !== 'no' && <span className="soft">{t(`common.draft.${draft.unsaved}`)}</span>}
    </div>
  )
}
