import { useTranslations } from 'next-intl'
import type { ReactNode } from 'react'
import Button from 'react-bootstrap/Button'

interface SubmitButtonProps {
  readonly form: { readonly busy: boolean }
  /** Beside another button that matters more. */
  readonly isSecond?: boolean
  readonly disabled?: boolean
  readonly busyWord?: string
  readonly className?: string
  readonly children: ReactNode
}

/** Sends a form; while that is on its way it cannot be sent again. */
export function SubmitButton({ form, isSecond, disabled, busyWord, className, children }: SubmitButtonProps) {
  const t = useTranslations()

  return (
    <Button
      type="submit"
      variant={isSecond ? 'outline-secondary' : 'primary'}
      disabled={form.busy || disabled === true}
      className={className}
    >
      {form.busy ? (busyWord ?? t('common.saving')) : children}
    </Button>
  )
}
