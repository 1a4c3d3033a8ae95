import { useTranslations } from 'next-intl'
import { CircleCheck, CircleSlash, TriangleAlert } from 'lucide-react'
import { Link } from '@/ui/Link'
import type { SpokenPlan } from '@/i18n/spoken'
import type { Wishes } from '@/core/job/job'
import { strictness } from '@/core/rules/rule'

const icons = { fine: CircleCheck, withCare: TriangleAlert, no: CircleSlash }

interface VerdictsProps {
  readonly verdicts: SpokenPlan['verdicts']
  readonly wishes: Wishes
  readonly wish: ((changes: Partial<Wishes>) => void) | null
}

/** Every bottle of the cabinet on these wheels: may it be used, and why not. */
export function Verdicts({ verdicts, wishes, wish }: VerdictsProps) {
  const t = useTranslations()

  const sorted = [...verdicts].sort(
    (a, b) => strictness(a.verdict) - strictness(b.verdict) || a.productName.localeCompare(b.productName),
  )
  return (
    <ul className="rows">
      {sorted.map(({ productId, productName, verdict, reason, ruleIds }) => {
        const Icon = icons[verdict]
        return (
          <li key={productId} className="row-item verdict-row">
            <span className={`verdict is-${verdict}`}>
              <Icon aria-hidden size={18} /> {t(`terms.verdict.${verdict}`)}
            </span>
            <span>
              <b>{productName}</b>{' '}
              <span className="soft">
                {reason}{' '}
                {ruleIds[0] && <Link href={`/rules?q=${ruleIds[0]}`}>{t('plan.verdicts.rule')}</Link>}
              </span>
            </span>
            {wish && verdict !== 'no' && (
              <span className="chips">
                <button
                  type="button"
                  className="link-button"
                  aria-label={t('plan.verdicts.alwaysUse', { product: productName })}
                  disabled={wishes.pinned.includes(productId)}
                  onClick={() =>
                    wish({
                      pinned: [...wishes.pinned, productId],
                      forbidden: wishes.forbidden.filter((id) => id !== productId),
                    })
                  }
                >
                  {t('plan.verdicts.always')}
                </button>
                <button
                  type="button"
                  className="link-button"
                  aria-label={t('plan.verdicts.neverUse', { product: productName })}
                  disabled={wishes.forbidden.includes(productId)}
                  onClick={() =>
                    wish({
                      forbidden: [...wishes.forbidden, productId],
                      pinned: wishes.pinned.filter((id) => id !== productId),
                    })
                  }
                >
                  {t('plan.verdicts.never')}
                </button>
              </span>
            )}
          </li>
        )
      })}
    </ul>
  )
}
