import { currentTime } from '@/clock'
import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { protectionFacts } from '@/core/protection/kinds'
import { capital } from '@/core/words/sayPlan'
import { database } from '@/data/connection'
import { readSettings } from '@/data/queries/settings'
import { productsCompared, type RankedProduct } from '@/services/productsCompared'
import { formatSmallMoney } from '@/ui/format/format'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Which lasts longer' }

/** From so many chances in a hundred on one may say which lasts longer. */
const clearChance = 0.8

function nextWords({ beatsNext }: RankedProduct, next: RankedProduct | undefined): string {
  if (beatsNext === null || !next) return ''
  const percent = Math.min(99, Math.round(beatsNext * 100))
  return beatsNext >= clearChance
    ? `outlasts ${next.name}: ${percent} in 100`
    : `no telling from ${next.name} yet: ${percent} in 100`
}

export default async function LastingPage() {
  const db = await database()
  const { products, calibration } = await productsCompared(db, currentTime())
  const { currency } = await readSettings(db)
  const kinds = [...new Set(products.map(({ protection }) => protection))]
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Which lasts longer</h1>
          <p className="lead-text">
            On the front of an ordinary set, 250 km a week: what a hard car did to one product does not count
            against it. <Link href="/due">All that is due</Link>
          </p>
        </div>
      </header>
      {products.length === 0 && <p className="py-3">No protection is on record yet.</p>}
      {kinds.map((kind) => {
        const own = products.filter(({ protection }) => protection === kind)
        const longest = Math.max(1, ...own.map(({ lifeDays }) => lifeDays.p90))
        return (
          <section key={kind} className="month-head" aria-label={protectionFacts[kind].name}>
            <div className="section-head">
              <h2>{capital(protectionFacts[kind].name)}</h2>
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
                          ? 'Nobody has looked at it: the house’s guess.'
                          : `${product.looks} ${product.looks === 1 ? 'look' : 'looks'}`}
                        {nextWords(product, own[at + 1]) && `; ${nextWords(product, own[at + 1])}`}
                      </p>
                    </div>
                    <div
                      className="lasting-bar"
                      role="img"
                      aria-label={`${p10} to ${p90} days, ${p50} in the middle`}
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
                      {p50} days
                      <small>
                        {p10} to {p90}
                        {product.costPerMonthMinor !== null &&
                          `; ${formatSmallMoney(product.costPerMonthMinor, currency)} a month`}
                      </small>
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
          <h2 id="held">How often the band held</h2>
        </div>
        <p className="py-2">
          {calibration.looks === 0
            ? 'Nothing to hold it against yet: it takes looks at layers that were looked at before.'
            : `${Math.round(calibration.inside)} of ${calibration.looks} later looks lay where eight of ten should (${Math.round((100 * calibration.inside) / calibration.looks)} %), had they been forecast from what was known before. ${
                calibration.widen > 1
                  ? `That was over-sure, so every band is ${Math.round((calibration.widen - 1) * 100)} % wider since.`
                  : 'The bands stay as they are.'
              }`}
        </p>
      </section>
    </>
  )
}
