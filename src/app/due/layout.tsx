import type { ReactNode } from 'react'
import { Words } from '@/i18n/Words'

export default function DueLayout({ children }: { children: ReactNode }) {
  return <Words of={['due', 'fields', 'today']}>{children}</Words>
}
