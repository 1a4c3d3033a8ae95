import { useEffect, useRef, type ReactNode } from 'react'
import type { FieldValues } from 'react-hook-form'
import { DraftNote } from './DraftNote'
import type { WritingForm } from './useWritingForm'

interface FormFrameProps<Values extends FieldValues> {
  readonly form: WritingForm<Values>
  readonly className?: string
  /** What the form's first button does, where that is not to save. */
  readonly submit?: () => void
  readonly children: ReactNode
}

/** The form itself: brings the draft's note, sends, and goes to the first field that was refused. */
export function FormFrame<Values extends FieldValues>({
  form,
  className,
  submit = form.submit,
  children,
}: FormFrameProps<Values>) {
  const place = useRef<HTMLFormElement>(null)
  const { problems } = form
  const refused = problems.map(({ path }) => path).join(' ')
  useEffect(() => {
    if (refused !== '') place.current?.querySelector<HTMLElement>('.is-invalid')?.focus()
  }, [refused])
  return (
    <form
      ref={place}
      className={className}
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
    >
      <DraftNote draft={form.draft} />
      {children}
    </form>
  )
}
