import type { ReactNode } from 'react'
import { Words } from '@/i18n/Words'

export default function SettingsLayout({ children }: { children: ReactNode }) {
  return <Words of={['settings', 'methods', 'estimates', 'access', 'photos']}>{children}</Words>
}
