import { getFormats } from '@/i18n/getFormats'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import type { SearchParams } from '@/app/pageAsked'
import { Link } from '@/ui/Link'
import { familyOf } from '@/core/chemistry/families'
import { protectionFacts } from '@/core/protection/kinds'
import { database } from '@/services/records'
import { listProducts } from '@/services/cabinet'
import { listLooks, listReadings } from '@/services/protection'
import { askForecast } from '@/services/forecast'
import { LayerForm } from '@/ui/protection/LayerForm'
import { LayerLife } from '@/ui/protection/LayerLife'
import { LookRows } from '@/ui/protection/LookRows'
import { OdometerForm } from '@/ui/protection/OdometerForm'
import { OtherLayers } from '@/ui/protection/OtherLayers'
import { RenewalForm } from '@/ui/protection/RenewalForm'
import { keepLayer, keepReading, keepRenewal, takeLookBack } from '../../protectionActions'
import { SetHead } from '@/ui/wheel-set/SetHead'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('protection.title')

interface Props {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<SearchParams>
}

/** Protection checks shown at first; `?checks=all` shows them all. */
const checksAtFirst = 8
const maxChecks = 1000

export default async function ProtectionPage({ params, searchParams }: Props) {
  const formats = await getFormats()
  const t = await getTranslations()

  const { id } = await params
  const showsAll = (await searchParams).checks === 'all'
  const set = await wheelSetOr404(id)
  const db = await database()
  const now = currentTime()
  const [layers, looks, products, readings] = await Promise.all([
    askForecast(db, now, 'layersOfSet', { wheelSetId: id, at: now }),
    listLooks(db, id, showsAll ? maxChecks : checksAtFirst + 1),
    listProducts(db),
    listReadings(db, set.vehicleId),
  ])
  const positions = set.wheels.map(({ position }) => position)
  const known = products.flatMap(({ family: familyId, name, archived }) => {
    const family = familyOf(familyId)
    return family.purpose === 'protect' && !archived ? [{ kind: family.protection, name }] : []
  })
  const beading = layers.filter(({ facts }) => protectionFacts[facts.kind].on === 'wheel')
  const others = layers.filter(({ facts }) => protectionFacts[facts.kind].on !== 'wheel')
  const lastReading = readings.at(-1)
  return (
    <>
      <SetHead title={t('protection.title')} set={set}>
        <div className="chips">
          <Link href={`/wheels/${id}/care`} className="btn btn-outline-secondary">
            {t('due.care.title')}
          </Link>
          <Link href={`/wheels/${id}/look`} className="btn btn-primary">
            {t('protection.check.enter')}
          </Link>
        </div>
      </SetHead>
      <div className="set-place">
        <div>
          {beading.length === 0 && <p className="py-3">{t('protection.none')}</p>}
          {beading.map((layer) => (
            <LayerLife key={layer.forecast.id} wheelSetId={id} layer={layer} now={now} />
          ))}
          <p className="soft">{t('protection.legend')}</p>
        </div>
        <div>
          <OtherLayers layers={others} now={now} />
          <LookRows
            looks={showsAll ? looks : looks.slice(0, checksAtFirst)}
            now={now}
            takeBack={takeLookBack.bind(null, id)}
            allAt={!showsAll && looks.length > checksAtFirst ? `/wheels/${id}/protection?checks=all` : null}
          />
          <section aria-labelledby="put-on" className="mt-4">
            <div className="section-head">
              <h2 id="put-on">{t('protection.layer.title')}</h2>
            </div>
            <LayerForm wheelSetId={id} positions={positions} known={known} keep={keepLayer.bind(null, id)} />
          </section>
          <section aria-labelledby="driving" className="mt-4">
            <div className="section-head">
              <h2 id="driving">{t('protection.odometer.title')}</h2>
            </div>
            <p className="mt-2 mb-0">
              {lastReading
                ? t('protection.odometer.last', {
                    distance: formats.quantity(lastReading.kilometres, 'distance'),
                    day: formats.day(lastReading.at, now),
                  })
                : t('protection.odometer.told', {
                    distance: formats.quantity(set.kilometresPerWeek, 'distance'),
                  })}
            </p>
            <OdometerForm wheelSetId={id} keep={keepReading.bind(null, id)} />
          </section>
          <section aria-labelledby="renewed" className="mt-4">
            <div className="section-head">
              <h2 id="renewed">{t('protection.renewal.title')}</h2>
            </div>
            <RenewalForm wheelSetId={id} positions={positions} keep={keepRenewal.bind(null, id)} />
          </section>
        </div>
      </div>
    </>
  )
}
