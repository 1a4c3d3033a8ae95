'use client'

import { useTranslations } from 'next-intl'
import Button from 'react-bootstrap/Button'

/** Shown when a page could not be made; the details stay in the server's output. */
export default function PageError({ retry }: { error: unknown; retry?: () => void }) {
  const t = useTranslations()

  return (
    <>
      <h1>{t('errors.page.title')}</h1>
      <p className="soft">{t('errors.page.text')}</p>
      <p className="mt-3">
        <Button onClick={() => (retry ? retry() : location.reload())}>{t('errors.page.again')}</Button>
      </p>
    </>
  )
}
