import { Plus } from 'lucide-react'
import type { Metadata } from 'next'
import { LiveRefresh } from '@/ui/live/LiveRefresh'
import { pathOfId } from '@/ui/cabinet/idPath'
import { Link } from '@/ui/Link'
import { familyOf } from '@/core/chemistry/families'
import { cleanWheelCosts } from '@/core/cost/cleanWheelCost'
import { writeDilution } from '@/core/dilution'
import { protectionWearNames } from '@/core/chemistry/family'
import { wearOf } from '@/core/chemistry/product'
import { soilNames, soils, type Soil } from '@/core/soils/soil'
import { wheelGeometry } from '@/core/wheel-geometry'
import { database } from '@/data/connection'
import { listProducts } from '@/data/queries/cabinet'
import { readSettings } from '@/data/queries/settings'
import { formatMillilitres, formatMoney, formatSmallMoney } from '@/ui/format/format'
import { archiveProduct } from './actions'
import { ActionButton } from '@/ui/form/ActionButton'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Cabinet' }

/** Share of a pack at which a product is worth ordering. */
const reorderShare = 0.25
/** The wheel that products are compared on. */
const reference = wheelGeometry({
  tyreCode: '225/45 R18',
  rimWidthInches: 8,
  spokeCount: 10,
  spokeWidthMillimetres: 30,
  spokeDepthMillimetres: 45,
})

export default async function CabinetPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const { soil: wanted } = await searchParams
  const db = await database()
  const [products, settings] = await Promise.all([listProducts(db), readSettings(db)])
  const active = products.filter(({ archived }) => !archived)
  const archived = products.filter((product) => product.archived)
  const low = active.filter(
    ({ stockMillilitres, packMillilitres }) => stockMillilitres < packMillilitres * reorderShare,
  )
  const compared: Soil = soils.find((soil) => soil === wanted) ?? 'freshDust'
  const costs = reference.ok
    ? cleanWheelCosts(
        products,
        compared,
        2,
        reference.value,
        settings.equipment.bucketLitres,
        settings.estimates,
      )
    : []
  return (
    <>
      <LiveRefresh topics={['stock']} />
      <header className="place-head">
        <div>
          <h1>Cabinet</h1>
          <p className="lead-text">
            {active.length === 0
              ? 'Empty: plans use the house cabinet until the first product of yours is in.'
              : `${active.length} products. Plans choose from these.`}
          </p>
        </div>
        <div className="chips">
          <Link href="/cabinet/tools" className="btn btn-outline-secondary">
            Tools
          </Link>
          <Link href="/cabinet/import" className="btn btn-outline-secondary">
            Import
          </Link>
          <Link href="/cabinet/new" className="btn btn-primary">
            <Plus aria-hidden size={20} /> Add a product
          </Link>
        </div>
      </header>
      <div className="cabinet">
        <section aria-labelledby="products">
          <div className="section-head">
            <h2 id="products">Products</h2>
            <span>
              <a href="/api/cabinet/csv">as a table</a>, <a href="/api/cabinet/json">as a file</a>
            </span>
          </div>
          <ul className="rows">
            {active.map((product) => {
              const family = familyOf(product.family)
              const share = Math.min(1, product.stockMillilitres / product.packMillilitres)
              return (
                <li key={product.id} className="row-item product-row">
                  <div>
                    <Link href={`/cabinet/${pathOfId(product.id)}`}>{product.name}</Link>
                    <br />
                    <span className="soft">
                      {family.name}, {writeDilution(product.strength, settings.dilutionStyle)}
                      {family.purpose === 'clean' && `, ${protectionWearNames[wearOf(product)]}`}
                      {product.containsFluoride && ', fluoride: never planned'}
                    </span>
                  </div>
                  <div
                    className="stock"
                    role="img"
                    aria-label={`${Math.round(share * 100)} % of a pack left`}
                  >
                    <span
                      className={share < reorderShare ? 'is-low' : ''}
                      style={{ width: `${share * 100}%` }}
                    />
                  </div>
                  <div className="number">
                    {formatMillilitres(product.stockMillilitres)}
                    <br />
                    <span className="soft">
                      {formatMoney(product.packPriceMinor, settings.currency)} /{' '}
                      {formatMillilitres(product.packMillilitres)}
                    </span>
                  </div>
                </li>
              )
            })}
          </ul>
          {archived.length > 0 && (
            <details className="mt-3">
              <summary>Archived, {archived.length}</summary>
              <ul className="rows">
                {archived.map((product) => (
                  <li key={product.id} className="row-item product-row">
                    <span>{product.name}</span>
                    <span />
                    <ActionButton
                      action={archiveProduct.bind(null, product.id, false)}
                      className="link-button"
                      label={`Take ${product.name} back`}
                    >
                      Take back
                    </ActionButton>
                  </li>
                ))}
              </ul>
            </details>
          )}
        </section>
        <div>
          <section aria-labelledby="order">
            <div className="section-head">
              <h2 id="order">To order</h2>
              <span className="number">{low.length}</span>
            </div>
            {low.length === 0 ? (
              <p className="py-3">Nothing is running out.</p>
            ) : (
              <ul className="rows">
                {low.map((product) => (
                  <li key={product.id} className="row-item stock-row">
                    <span>{product.name}</span>
                    <span className="number">
                      {formatMillilitres(product.stockMillilitres)} left,{' '}
                      {formatMoney(product.packPriceMinor, settings.currency)} for{' '}
                      {formatMillilitres(product.packMillilitres)}
                    </span>
                  </li>
                ))}
              </ul>
            )}
          </section>
          <section aria-labelledby="costs" className="mt-4">
            <div className="section-head">
              <h2 id="costs">Cost per clean wheel</h2>
            </div>
            <p className="soft mt-2">
              Same dirt (clear {soilNames[compared]}), each product at its own best dilution, per package.
              Estimates.
            </p>
            <nav className="chips mt-2 mb-2" aria-label="Soil to compare on">
              {(['freshDust', 'bondedDust', 'film', 'tar', 'mineral', 'tyreBrowning'] as const).map(
                (soil) => (
                  <Link
                    key={soil}
                    href={`/cabinet?soil=${soil}`}
                    className="chip"
                    aria-current={soil === compared ? 'true' : undefined}
                    scroll={false}
                  >
                    {soilNames[soil]}
                  </Link>
                ),
              )}
            </nav>
            <ul className="rows">
              {costs.slice(0, 14).map((one) => (
                <li key={`${one.productId} ${one.packMillilitres}`} className="row-item cost-row">
                  <span>
                    {one.productName}
                    <br />
                    <span className="soft">
                      pack of {formatMillilitres(one.packMillilitres)},{' '}
                      {writeDilution({ from: one.fraction, to: one.fraction }, settings.dilutionStyle)}
                      {one.rounds > 1 && `, ${one.rounds} rounds`}
                    </span>
                  </span>
                  <span className="number">
                    {formatSmallMoney(one.costMinor, settings.currency)}
                    <br />
                    <span className="soft">{formatMillilitres(one.concentrateMillilitres)}</span>
                  </span>
                </li>
              ))}
            </ul>
          </section>
        </div>
      </div>
    </>
  )
}
