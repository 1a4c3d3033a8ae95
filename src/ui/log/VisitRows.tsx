import { useFormats } from '@/i18n/useFormats'
import type { Said } from '@/core/message/message'
import { useSay } from '@/i18n/useSay'
import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { CircleCheck, CircleDashed, CircleX } from 'lucide-react'
import { Link } from '@/ui/Link'
import type { Leftover } from '@/core/run/leftover'
import type { VisitResult } from '@/core/run/visitResult'
import { formatDuration } from '@/i18n/format'

/** A visit as the log shows it. */
export interface ShownVisit {
  readonly id: string
  readonly wheelSetId: string
  readonly jobId: string | null
  readonly finishedAt: Date
  readonly vehicleName: string
  readonly wheelSetName: string
  readonly headline: Said
  readonly result: VisitResult
  readonly note: string
  readonly operatorSeconds: number
  readonly clockSeconds: number | null
  readonly leftovers: readonly Leftover[]
  readonly costMinor: number
  readonly currency: string
  readonly products: readonly { readonly name: string; readonly concentrateMillilitres: number }[]
}

const icons = { clean: CircleCheck, someLeft: CircleDashed, notClean: CircleX }

function ResultMark({ result }: { readonly result: VisitResult }) {
  const t = useTranslations()
  const Icon = icons[result]
  return (
    <span className={`result-mark is-${result}`}>
      <Icon aria-hidden size={17} /> {t(`terms.result.${result}`)}
    </span>
  )
}

/** What stayed, the same spot of several wheels named once. */
function leftoverText(leftovers: readonly Leftover[], t: Translator): string {
  const wheels = new Map<string, string[]>()
  for (const { position, zone, soil } of leftovers) {
    const spot = t('log.leftover', { soil: t(`terms.soil.${soil}`), zone: t(`terms.zone.${zone}`) })
    wheels.set(spot, [...(wheels.get(spot) ?? []), t(`terms.wheel.${position}`)])
  }
  return [...wheels].map(([spot, where]) => `${spot} (${where.join(', ')})`).join('; ')
}

/** Rows of visits, newest first. */
export function VisitRows({
  visits,
  now,
  showsCosts,
  named = true,
}: {
  readonly visits: readonly ShownVisit[]
  readonly now: Date
  readonly showsCosts: boolean
  readonly named?: boolean
}) {
  const formats = useFormats()
  const t = useTranslations()
  const say = useSay()

  return (
    <ul className="rows">
      {visits.map((visit) => (
        <li key={visit.id} className="row-item log-row">
          <div className="number">{formats.day(visit.finishedAt, now)}</div>
          <div>
            {named && (
              <p>
                <Link href={`/wheels/${visit.wheelSetId}`}>{visit.vehicleName}</Link>, {visit.wheelSetName}
              </p>
            )}
            <p>
              {say(visit.headline)} <ResultMark result={visit.result} />
            </p>
            {visit.leftovers.length > 0 && (
              <p>{t('log.remained', { leftovers: leftoverText(visit.leftovers, t) })}</p>
            )}
            {visit.note && <p>“{visit.note}”</p>}
            <p className="soft">
              {visit.products
                .map(
                  ({ name, concentrateMillilitres }) => `${name} ${formats.volume(concentrateMillilitres)}`,
                )
                .join(' · ')}
            </p>
          </div>
          <div className="log-figures">
            {formatDuration(visit.clockSeconds ?? visit.operatorSeconds)}
            {showsCosts && (
              <>
                <br />
                {formats.money(visit.costMinor, visit.currency)}
              </>
            )}
          </div>
        </li>
      ))}
    </ul>
  )
}
