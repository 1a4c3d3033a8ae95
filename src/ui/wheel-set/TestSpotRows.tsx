import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import { bold } from '@/i18n/rich'
import type { Finish } from '@/core/finishes/finish'
import type { TestSpot } from '@/core/job/testSpot'

interface TestSpotRowsProps {
  readonly spots: readonly {
    readonly productId: string
    readonly productName: string
    readonly finish: Finish
    readonly result: TestSpot['result']
    readonly triedAt: Date
  }[]
  readonly now: Date
}

/** What was tried at a hidden place of these wheels, and what came of it. */
export function TestSpotRows({ spots, now }: TestSpotRowsProps) {
  const formats = useFormats()
  const t = useTranslations()

  return (
    <ul className="rows">
      {spots.map(({ productId, productName, finish, result, triedAt }) => (
        <li key={`${productId} ${finish}`} className="row-item log-row">
          <div className="number">{formats.day(triedAt, now)}</div>
          <div>
            {t.rich('wheels.tested.line', {
              b: bold,
              product: productName,
              finish: t(`terms.finish.${finish}`),
              result,
            })}
          </div>
        </li>
      ))}
    </ul>
  )
}
