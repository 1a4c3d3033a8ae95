import type { ReactNode } from 'react'
import { Words } from '@/i18n/Words'

export default function JobLayout({ children }: { children: ReactNode }) {
  return (
    <Words
      of={[
        'plan',
        'fields',
        'measures',
        'conditions',
        'sheet',
        'bay',
        'steps',
        'order',
        'reasons',
        'ruleBook',
        'methods',
      ]}
    >
      {children}
    </Words>
  )
}
