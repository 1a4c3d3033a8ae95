import { getFormats } from '@/i18n/getFormats'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { Link } from '@/ui/Link'
import { database } from '@/services/records'
import { estimate } from '@/core/estimates/houseEstimates'
import { readSettings } from '@/services/settings'
import { lastTyreReading, listWheelChanges } from '@/services/protection'
import { setsOfVehicle } from '@/services/wheel-sets'
import { ActionButton } from '@/ui/form/ActionButton'
import { WheelChangeForm } from '@/ui/protection/WheelChangeForm'
import { keepWheelChange, takeWheelChangeBack } from '../../protectionActions'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('protection.change.title')

interface Props {
  readonly params: Promise<{ id: string }>
}

export default async function ChangePage({ params }: Props) {
  const formats = await getFormats()
  const t = await getTranslations()

  const set = await wheelSetOr404((await params).id)
  const db = await database()
  const { estimates } = await readSettings(db)
  const now = currentTime()
  const [sets, changes, tyres] = await Promise.all([
    setsOfVehicle(db, set.vehicleId),
    listWheelChanges(db, set.vehicleId),
    lastTyreReading(db, set.id),
  ])
  const last = changes.at(-1)
  const nameOf = (id: string | null): string => sets.find((one) => one.id === id)?.name ?? 'none'
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('protection.change.title')}</h1>
          <p className="lead-text">
            {t.rich('protection.change.lead', {
              vehicle: set.vehicleName,
              from: formats.quantity(estimate('torqueFirstKilometres', estimates), 'distance'),
              until: formats.quantity(estimate('torqueLastKilometres', estimates), 'distance'),
              link: (words) => <Link href={`/wheels/${set.id}`}>{words}</Link>,
            })}
          </p>
        </div>
      </header>
      <WheelChangeForm
        key={last?.id ?? 'first'}
        vehicleId={set.vehicleId}
        sets={sets}
        mountedSetId={last?.mountedSetId ?? null}
        lastStoredWhere={last?.storedWhere ?? ''}
        keep={keepWheelChange.bind(null, set.vehicleId)}
      />
      {tyres && (
        <p className="soft">
          {t('protection.change.tyres', {
            day: formats.day(tyres.at, now),
            dateCode: tyres.dateCode || 'none',
            both: String(Boolean(tyres.dateCode) && tyres.treadMillimetres !== null),
            tread:
              tyres.treadMillimetres === null ? 'none' : formats.quantity(tyres.treadMillimetres, 'length'),
          })}
        </p>
      )}
      <section aria-labelledby="changes" className="month-head">
        <div className="section-head">
          <h2 id="changes">{t('protection.change.history')}</h2>
        </div>
        {changes.length === 0 && <p className="py-2">{t('protection.change.noHistory')}</p>}
        <ul className="rows">
          {[...changes].reverse().map((change) => (
            <li key={change.id} className="row-item stock-row">
              <span>
                {t('protection.change.line', {
                  day: formats.day(change.at, now),
                  set: nameOf(change.mountedSetId),
                  stored: change.storedWhere || 'none',
                  torque:
                    change.torqueNewtonMetres === null
                      ? 'none'
                      : formats.quantity(change.torqueNewtonMetres, 'torque'),
                })}
              </span>
              {change.id === last?.id && (
                <ActionButton
                  action={takeWheelChangeBack.bind(null, set.vehicleId, change.id)}
                  className="btn btn-quiet"
                >
                  {t('protection.change.undo')}
                </ActionButton>
              )}
            </li>
          ))}
        </ul>
      </section>
    </>
  )
}
