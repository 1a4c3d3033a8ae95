import type { ReactNode } from 'react'
import { Words } from '@/i18n/Words'

export default function WheelsLayout({ children }: { children: ReactNode }) {
  return (
    <Words of={['wheels', 'fields', 'measures', 'wheelSet', 'protection', 'photos', 'due']}>{children}</Words>
  )
}
