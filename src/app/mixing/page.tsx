import { getFormats } from '@/i18n/getFormats'
import { getLocale, getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { differenceInCalendarDays } from 'date-fns'
import { Link } from '@/ui/Link'
import { writeDilution } from '@/core/dilution/writeDilution'
import { estimate } from '@/core/estimates/houseEstimates'
import { database } from '@/services/records'
import { listFullBottles, listProducts } from '@/services/cabinet'
import { ounceSystem } from '@/core/units/region'
import { regionOfTag } from '@/i18n/regionTag'
import { readSettings } from '@/services/settings'
import { MixingBench } from '@/ui/mixing/MixingBench'
import { keepBottle, markEmpty } from './actions'
import { ActionButton } from '@/ui/form/ActionButton'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('mixing.title')

export default async function BenchPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const formats = await getFormats()
  const t = await getTranslations()

  const { product } = await searchParams
  const db = await database()
  const [all, bottles, settings] = await Promise.all([
    listProducts(db),
    listFullBottles(db),
    readSettings(db),
  ])
  const products = all.filter(({ archived, containsFluoride }) => !archived && !containsFluoride)
  const now = currentTime()
  const oldDays = estimate('mixedBottleDays', settings.estimates)
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('mixing.title')}</h1>
          <p className="lead-text">{t('mixing.lead')}</p>
        </div>
      </header>
      {products.length === 0 && (
        <p className="mb-3">
          {t.rich('mixing.noProducts', { link: (words) => <Link href="/cabinet/new">{words}</Link> })}
        </p>
      )}
      <MixingBench
        products={products.map(({ id, name, strength }) => ({ id, name, strength }))}
        chosenId={typeof product === 'string' && products.some(({ id }) => id === product) ? product : null}
        ounces={ounceSystem(regionOfTag(await getLocale())) ?? settings.ounces}
        lance={settings.equipment.lance}
        keep={keepBottle}
      />
      <section aria-labelledby="bottles" className="mt-4">
        <div className="section-head">
          <h2 id="bottles">{t('mixing.bottles.title')}</h2>
          <span className="number">{bottles.length}</span>
        </div>
        {bottles.length === 0 ? (
          <p className="py-3">{t('mixing.bottles.none')}</p>
        ) : (
          <ul className="rows">
            {bottles.map((bottle) => {
              const days = differenceInCalendarDays(now, bottle.mixedAt)
              return (
                <li key={bottle.id} className="row-item tool-row">
                  <div>
                    <Link href={`/mixing/${bottle.id}`}>{bottle.productName}</Link>
                    <br />
                    <span className="soft">
                      {writeDilution({ from: bottle.fraction, to: bottle.fraction }, settings.dilutionStyle)},{' '}
                      {formats.volume(bottle.totalMillilitres)}
                      {bottle.mixedBy && t('mixing.bottles.by', { person: bottle.mixedBy })}
                    </span>
                  </div>
                  <div className={`when${days > oldDays ? ' is-topUp' : ''}`}>
                    {days > oldDays
                      ? t('mixing.bottles.old', { ago: formats.ago(bottle.mixedAt, now) })
                      : formats.ago(bottle.mixedAt, now)}
                  </div>
                  <ActionButton
                    action={markEmpty.bind(null, bottle.id)}
                    className="link-button"
                    label={t('mixing.bottles.emptyLabel', { product: bottle.productName })}
                  >
                    {t('mixing.bottles.empty')}
                  </ActionButton>
                </li>
              )
            })}
          </ul>
        )}
      </section>
    </>
  )
}
