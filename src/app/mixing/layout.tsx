import type { ReactNode } from 'react'
import { Words } from '@/i18n/Words'

export default function MixingLayout({ children }: { children: ReactNode }) {
  return <Words of={['mixing', 'plan', 'fields', 'measures']}>{children}</Words>
}
