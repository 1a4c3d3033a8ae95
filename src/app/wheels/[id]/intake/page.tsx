import { getSay } from '@/i18n/getSay'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { addDays } from 'date-fns'
import { serviceIds } from '@/core/visit-kinds/service'
import { database } from '@/services/records'
import { intakeOffer, latestJobFile } from '@/services/jobs'
import { readSettings } from '@/services/settings'
import { listReadings } from '@/services/protection'
import { listDue } from '@/services/due'
import { IntakeForm } from '@/ui/intake/IntakeForm'
import { drawnWheels } from '@/ui/wheel-drawing/drawnWheel'
import { askWeather } from '../../../devices/actions'
import { planVisit } from '../../actions'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('intake.page')

/** What falls due soon is done on the same visit, days. */
const soonDays = 30

interface Props {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>
}

export default async function IntakePage({ params, searchParams }: Props) {
  const t = await getTranslations()
  const say = await getSay()

  const { id } = await params
  const { service } = await searchParams
  const wanted = serviceIds.find((one) => one === service)
  const set = await wheelSetOr404(id)
  const db = await database()
  const last = (await latestJobFile(db, id))?.conditions
  const now = currentTime()
  const offer = await intakeOffer(db, set, now)
  const due = (await listDue(db, now, id)).filter(({ at }) => at <= addDays(now, soonDays))
  const readings = await listReadings(db, set.vehicleId)
  const weather = await askWeather(-currentTime().getTimezoneOffset())
  return (
    <IntakeForm
      wheelSetId={id}
      title={`${set.vehicleName}, ${set.name}`}
      wheels={drawnWheels(set.wheels)}
      offer={{ ...offer, service: wanted ?? offer.service }}
      due={due.map(({ what }) => say(what))}
      lastReadingKilometres={readings.at(-1)?.kilometres ?? null}
      conditions={
        weather.ok
          ? {
              airCelsius: weather.value.airCelsius,
              humidityPercent: weather.value.humidityPercent,
              windKilometresPerHour: weather.value.windKilometresPerHour,
              cloudPercent: weather.value.cloudPercent,
              forecast: [...weather.value.forecast],
            }
          : { airCelsius: last?.airCelsius ?? 18 }
      }
      conditionsFrom={
        weather.ok
          ? t('conditions.weatherFrom', { simulated: String(weather.value.isSimulated) })
          : t('intake.noWeather')
      }
      ownEstimates={(await readSettings(db)).estimates}
      plan={planVisit.bind(null, id)}
    />
  )
}
