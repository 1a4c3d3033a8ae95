import { getFormats } from '@/i18n/getFormats'
import { getSay } from '@/i18n/getSay'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { careAdvice } from '@/core/due'
import { protectionFacts } from '@/core/protection/kinds'
import { database } from '@/services/records'
import { readSettings } from '@/services/settings'
import { askForecast } from '@/services/forecast'
import { liveProtection } from '@/services/due'
import { PrintButton } from '@/ui/PrintButton'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('due.care.title')

interface Props {
  readonly params: Promise<{ id: string }>
}

export default async function CarePage({ params }: Props) {
  const formats = await getFormats()
  const t = await getTranslations()
  const say = await getSay()

  const set = await wheelSetOr404((await params).id)
  const db = await database()
  const now = currentTime()
  const layers = await askForecast(db, now, 'layersOfSet', { wheelSetId: set.id, at: now })
  const { shopName } = await readSettings(db)
  const { wash, never } = careAdvice(
    layers.map(({ facts }) => facts.kind),
    set.wheels.flatMap(({ finishes }) => finishes.map(({ finish }) => finish)),
  )
  const named = [...new Map(layers.map((layer) => [layer.facts.productName, layer])).values()]
  const curing = (await liveProtection(db, set.id, now))
    .filter(({ isCuring }) => isCuring)
    .map(({ curesUntil }) => curesUntil)
    .sort((a, b) => b.getTime() - a.getTime())[0]
  const next = layers
    .filter(({ facts }) => protectionFacts[facts.kind].on === 'wheel')
    .map(({ forecast }) => forecast.topUp)
    .sort((a, b) => a.p50.getTime() - b.p50.getTime())[0]
  return (
    <>
      <div className="no-print mb-3">
        <PrintButton />
      </div>
      <article className="care-card">
        <h1>
          {set.vehicleName}, {set.name}
        </h1>
        <p className="soft">
          {shopName}, {formats.fullDay(now, 'long')}
        </p>
        <h2>{t('due.care.protection')}</h2>
        {named.length === 0 ? (
          <p>{t('due.care.none')}</p>
        ) : (
          <ul>
            {named.map(({ facts }) => (
              <li key={facts.productName}>
                {t('due.care.layer', {
                  product: facts.productName,
                  kind: t(`terms.protection.${facts.kind}`),
                  day: formats.fullDay(facts.appliedAt, 'long'),
                })}
              </li>
            ))}
          </ul>
        )}
        {curing && (
          <p>
            <b>
              {t('due.care.curing', {
                time: `${formats.dayOfWeek(curing, 'long')}, ${formats.timeOfDay(curing)}`,
              })}
            </b>
          </p>
        )}
        <h2>{t('due.care.washing')}</h2>
        <ul>
          {wash.map(say).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        <h2>{t('due.care.never')}</h2>
        <ul>
          {never.map(say).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        {next && (
          <>
            <h2>{t('due.care.next')}</h2>
            <p>
              {t('due.care.around', { month: formats.month(next.p50 < now ? now : next.p50, 'long', true) })}
            </p>
          </>
        )}
        <p className="soft">{t('due.care.labels')}</p>
      </article>
    </>
  )
}
