import type { ReactNode } from 'react'
import { Words } from '@/i18n/Words'

export default function PairLayout({ children }: { children: ReactNode }) {
  return <Words of={['access']}>{children}</Words>
}
