import type { ReactNode } from 'react'
import { Words } from '@/i18n/Words'

export default function IntakeLayout({ children }: { children: ReactNode }) {
  return <Words of={['intake', 'conditions']}>{children}</Words>
}
