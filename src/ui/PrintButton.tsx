'use client'

import { useTranslations } from 'next-intl'
import { Printer } from 'lucide-react'
import Button from 'react-bootstrap/Button'

export const PrintButton = () => {
  const t = useTranslations()
  return (
    <Button onClick={() => window.print()}>
      <Printer aria-hidden size={20} /> {t('common.print')}
    </Button>
  )
}
