'use client'

import type { ReactNode } from 'react'
import type { FormAnswer } from './formAction'
import { ProblemAlert } from './ProblemAlert'
import { useSending } from './useSending'

export interface ActionButtonProps {
  readonly action: () => Promise<FormAnswer | void>
  readonly className: string
  readonly label?: string
  /** For a button that is one of several states. */
  readonly pressed?: boolean
  readonly children: ReactNode
}

/** A button that does one thing on the server, and says where that did not go through. */
export function ActionButton({ action, className, label, pressed, children }: ActionButtonProps) {
  const { problems, busy, send } = useSending()
  return (
    <>
      <button
        type="button"
        className={className}
        aria-label={label}
        aria-pressed={pressed}
        disabled={busy}
        onClick={() => send(async () => (await action()) ?? { problems: [] })}
      >
        {children}
      </button>
      <ProblemAlert problems={problems} />
    </>
  )
}
