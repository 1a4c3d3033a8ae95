import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { Plus } from 'lucide-react'
import { comparedSoils } from '@/core/cost/cleanWheelCost'
import { database } from '@/services/records'
import { readCabinet } from '@/services/cabinet'
import { ArchivedRows } from '@/ui/cabinet/ArchivedRows'
import { ProductRows } from '@/ui/cabinet/ProductRows'
import { StarterProducts } from '@/ui/cabinet/StarterProducts'
import { ToOrder } from '@/ui/cabinet/ToOrder'
import { WheelCosts } from '@/ui/cabinet/WheelCosts'
import { Link } from '@/ui/Link'
import { Live } from '@/app/_parts/Live'
import { addStarterProducts, archiveProduct } from './actions'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('cabinet.title')

export default async function CabinetPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const t = await getTranslations()

  const { soil: wanted } = await searchParams
  const soil = comparedSoils.find((one) => one === wanted) ?? comparedSoils[0]
  const { active, archived, runningOut, costs, settings } = await readCabinet(await database(), soil)
  const { currency, dilutionStyle, estimates } = settings
  return (
    <>
      <Live topics={['stock']} />
      <header className="place-head">
        <div>
          <h1>{t('cabinet.title')}</h1>
          <p className="lead-text">
            {active.length === 0 ? t('cabinet.empty') : t('cabinet.count', { count: active.length })}
          </p>
        </div>
        <div className="chips">
          <Link href="/cabinet/tools" className="btn btn-outline-secondary">
            {t('cabinet.tools.title')}
          </Link>
          <Link href="/cabinet/import" className="btn btn-outline-secondary">
            {t('cabinet.import.import')}
          </Link>
          <Link href="/cabinet/new" className="btn btn-primary">
            <Plus aria-hidden size={20} /> {t('cabinet.product.add')}
          </Link>
        </div>
      </header>
      <div className="cabinet">
        <section aria-labelledby="products">
          <div className="section-head">
            <h2 id="products">{t('cabinet.products')}</h2>
            <span>
              <a href="/api/cabinet/csv">{t('cabinet.exportCsv')}</a>,{' '}
              <a href="/api/cabinet/json">{t('cabinet.exportJson')}</a>
            </span>
          </div>
          {active.length === 0 ? (
            <StarterProducts add={addStarterProducts} />
          ) : (
            <ProductRows
              products={active}
              currency={currency}
              dilutionStyle={dilutionStyle}
              estimates={estimates}
            />
          )}
          <ArchivedRows products={archived} takeBack={archiveProduct} />
        </section>
        {active.length > 0 && (
          <div>
            <ToOrder products={runningOut} currency={currency} />
            <WheelCosts costs={costs} soil={soil} currency={currency} dilutionStyle={dilutionStyle} />
          </div>
        )}
      </div>
    </>
  )
}
