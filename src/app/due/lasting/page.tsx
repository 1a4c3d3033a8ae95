import { getFormats } from '@/i18n/getFormats'
import type { Translator } from '@/i18n/translator'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { Link } from '@/ui/Link'
import { capitalised } from '@/i18n/sayer'
import { database } from '@/services/records'
import { readSettings } from '@/services/settings'
import { productsCompared, type RankedProduct } from '@/services/forecast'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('due.lasting.title')

/** From so many chances in a hundred on one may say which lasts longer. */
const clearChance = 0.8

function comparedText({ beatsNext }: RankedProduct, next: RankedProduct | undefined, t: Translator): string {
  if (beatsNext === null || !next) return ''
  const percent = Math.min(99, Math.round(beatsNext * 100))
  return t(beatsNext >= clearChance ? 'due.lasting.outlasts' : 'due.lasting.unclear', {
    product: next.name,
    percent,
  })
}

export default async function LastingPage() {
  const formats = await getFormats()
  const t = await getTranslations()

  const db = await database()
  const { products, calibration } = await productsCompared(db, currentTime())
  const { currency } = await readSettings(db)
  const kinds = [...new Set(products.map(({ protection }) => protection))]
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('due.lasting.title')}</h1>
          <p className="lead-text">
            {t.rich('due.lasting.lead', {
              distance: formats.quantity(250, 'distance'),
              link: (words) => <Link href="/due">{words}</Link>,
            })}
          </p>
        </div>
      </header>
      {products.length === 0 && <p className="py-3">{t('due.lasting.none')}</p>}
      {kinds.map((kind) => {
        const own = products.filter(({ protection }) => protection === kind)
        const longest = Math.max(1, ...own.map(({ lifeDays }) => lifeDays.p90))
        return (
          <section key={kind} className="month-head" aria-label={t(`terms.protection.${kind}`)}>
            <div className="section-head">
              <h2>{capitalised(t(`terms.protection.${kind}`))}</h2>
            </div>
            <ul className="rows">
              {own.map((product, at) => {
                const { p10, p50, p90 } = product.lifeDays
                return (
                  <li key={product.id} className="row-item lasting-row">
                    <div>
                      <b>{product.name}</b>
                      <p className="soft">
                        {product.looks === 0
                          ? t('due.lasting.noChecks')
                          : `${product.looks} ${product.looks === 1 ? 'look' : 'looks'}`}
                        {comparedText(product, own[at + 1], t) &&
                          `; ${comparedText(product, own[at + 1], t)}`}
                      </p>
                    </div>
                    <div
                      className="lasting-bar"
                      role="img"
                      aria-label={t('due.lasting.barLabel', { from: p10, to: p90, likely: p50 })}
                    >
                      <i
                        style={{
                          left: `${(p10 / longest) * 100}%`,
                          width: `${((p90 - p10) / longest) * 100}%`,
                        }}
                      />
                      <b style={{ left: `${(p50 / longest) * 100}%` }} />
                    </div>
                    <div className="when">
                      {t.rich('due.lasting.days', {
                        likely: p50,
                        from: p10,
                        to: p90,
                        cost:
                          product.costPerMonthMinor === null
                            ? 'none'
                            : formats.smallMoney(product.costPerMonthMinor, currency),
                        small: (words) => <small>{words}</small>,
                      })}
                    </div>
                  </li>
                )
              })}
            </ul>
          </section>
        )
      })}
      <section className="month-head" aria-labelledby="held">
        <div className="section-head">
          <h2 id="held">{t('due.lasting.accuracy.title')}</h2>
        </div>
        <p className="py-2">
          {calibration.looks === 0
            ? t('due.lasting.accuracy.none')
            : t('due.lasting.accuracy.result', {
                inside: Math.round(calibration.inside),
                checks: calibration.looks,
                percent: Math.round((100 * calibration.inside) / calibration.looks),
                wider: Math.round((calibration.widen - 1) * 100),
              })}
        </p>
      </section>
    </>
  )
}
