import type { ReactNode } from 'react'
import { Words } from '@/i18n/Words'

export default function CabinetLayout({ children }: { children: ReactNode }) {
  return <Words of={['cabinet', 'fields', 'measures']}>{children}</Words>
}
