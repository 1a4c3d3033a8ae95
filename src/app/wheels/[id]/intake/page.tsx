import type { Metadata } from 'next'
import { database } from '@/data/connection'
import { latestJobFile } from '@/data/queries/jobs'
import { readSettings } from '@/data/queries/settings'
import { intakeOffer } from '@/services/intakeOffer'
import { IntakeForm } from '@/ui/intake/IntakeForm'
import { drawnWheels } from '@/ui/wheel-drawing/drawnWheel'
import { askWeather } from '../../../devices/actions'
import { planVisit } from '../../actions'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Intake' }

export default async function IntakePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const set = await wheelSetOr404(id)
  const db = await database()
  const last = (await latestJobFile(db, id))?.conditions
  const weather = await askWeather(-new Date().getTimezoneOffset())
  return (
    <IntakeForm
      wheelSetId={id}
      title={`${set.vehicleName}, ${set.name}`}
      wheels={drawnWheels(set.wheels)}
      offer={await intakeOffer(db, set, new Date())}
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
          ? `Weather from the ${weather.value.isSimulated ? 'simulated ' : ''}feed.`
          : 'The weather feed gives nothing usable: as at the last visit; type what it is.'
      }
      ownEstimates={(await readSettings(db)).estimates}
      plan={planVisit.bind(null, id)}
    />
  )
}
