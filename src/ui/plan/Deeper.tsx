import type { ReactNode } from 'react'

interface DeeperProps {
  readonly title: string
  /** What one finds there, in a few words. */
  readonly hint?: string
  readonly children: ReactNode
}

/** What lies one look deeper: closed, with its name and what it would say. */
export function Deeper({ title, hint, children }: DeeperProps) {
  return (
    <details className="deeper">
      <summary>
        <span className="deeper-title">{title}</span>
        {hint && <span className="soft">{hint}</span>}
      </summary>
      {children}
    </details>
  )
}
