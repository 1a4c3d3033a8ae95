import type { ReactNode } from 'react'
import { Words } from '@/i18n/Words'

export default function LogLayout({ children }: { children: ReactNode }) {
  return <Words of={['log']}>{children}</Words>
}
