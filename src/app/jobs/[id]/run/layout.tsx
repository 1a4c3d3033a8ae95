import type { ReactNode } from 'react'
import { Words } from '@/i18n/Words'

export default function BayLayout({ children }: { children: ReactNode }) {
  return (
    <Words of={['bay', 'fields', 'photos', 'protection', 'steps', 'reasons', 'ruleBook', 'observations']}>
      {children}
    </Words>
  )
}
