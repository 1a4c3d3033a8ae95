import { comparedSoils, type CleanWheelCost, type ComparedSoil } from '@/core/cost/cleanWheelCost'
import { writeDilution, type DilutionStyle } from '@/core/dilution'
import { soilNames } from '@/core/soils/soil'
import { Link } from '@/ui/Link'
import { formatMillilitres, formatSmallMoney } from '../format/format'

/** Dearer ones are no choice any more. */
const shown = 14

interface WheelCostsProps {
  readonly costs: readonly CleanWheelCost[]
  readonly soil: ComparedSoil
  readonly currency: string
  readonly dilutionStyle: DilutionStyle
}

/** What one clean wheel costs with each product and pack, on one soil. */
export function WheelCosts({ costs, soil, currency, dilutionStyle }: WheelCostsProps) {
  return (
    <section aria-labelledby="costs" className="mt-4">
      <div className="section-head">
        <h2 id="costs">Cost per clean wheel</h2>
      </div>
      <p className="soft mt-2">
        Same dirt (clear {soilNames[soil]}), each product at its own best dilution, per package. Estimates.
      </p>
      <nav className="chips mt-2 mb-2" aria-label="Soil to compare on">
        {comparedSoils.map((one) => (
          <Link
            key={one}
            href={`/cabinet?soil=${one}`}
            className="chip"
            aria-current={one === soil ? 'true' : undefined}
            scroll={false}
          >
            {soilNames[one]}
          </Link>
        ))}
      </nav>
      <ul className="rows">
        {costs.slice(0, shown).map((one) => (
          <li key={`${one.productId} ${one.packMillilitres}`} className="row-item cost-row">
            <span>
              {one.productName}
              <br />
              <span className="soft">
                pack of {formatMillilitres(one.packMillilitres)},{' '}
                {writeDilution({ from: one.fraction, to: one.fraction }, dilutionStyle)}
                {one.rounds > 1 && `, ${one.rounds} rounds`}
              </span>
            </span>
            <span className="number">
              {formatSmallMoney(one.costMinor, currency)}
              <br />
              <span className="soft">{formatMillilitres(one.concentrateMillilitres)}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
