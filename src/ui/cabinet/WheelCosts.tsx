import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import { comparedSoils, type CleanWheelCost, type ComparedSoil } from '@/core/cost/cleanWheelCost'
import { writeDilution, type DilutionStyle } from '@/core/dilution/writeDilution'
import { Link } from '@/ui/Link'

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
  const formats = useFormats()
  const t = useTranslations()

  return (
    <section aria-labelledby="costs" className="mt-4">
      <div className="section-head">
        <h2 id="costs">{t('cabinet.costs.title')}</h2>
      </div>
      <p className="soft mt-2">{t('cabinet.costs.explained', { soil: t(`terms.soil.${soil}`) })}</p>
      <nav className="chips mt-2 mb-2" aria-label={t('cabinet.costs.soil')}>
        {comparedSoils.map((one) => (
          <Link
            key={one}
            href={`/cabinet?soil=${one}`}
            className="chip"
            aria-current={one === soil ? 'true' : undefined}
            scroll={false}
          >
            {t(`terms.soil.${one}`)}
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
                {t('cabinet.costs.line', {
                  pack: formats.volume(one.packMillilitres),
                  dilution: writeDilution({ from: one.fraction, to: one.fraction }, dilutionStyle),
                  count: one.rounds,
                })}
              </span>
            </span>
            <span className="number">
              {formats.smallMoney(one.costMinor, currency)}
              <br />
              <span className="soft">{formats.volume(one.concentrateMillilitres)}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
