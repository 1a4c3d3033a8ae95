import { useTranslations } from 'next-intl'
import { Link } from '@/ui/Link'

export default function NotFound() {
  const t = useTranslations()

  return (
    <>
      <h1>{t('errors.notFound.title')}</h1>
      <p className="soft">{t('errors.notFound.text')}</p>
      <p className="mt-3">
        <Link href="/wheels" className="btn btn-primary">
          {t('errors.notFound.toSets')}
        </Link>
      </p>
    </>
  )
}
