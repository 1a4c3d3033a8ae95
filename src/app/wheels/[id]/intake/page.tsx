import type { Metadata } from 'next'
import { database } from '@/data/connection'
import { latestJobFile } from '@/data/queries/jobs'
import { readSettings } from '@/data/queries/settings'
import { intakeOffer } from '@/services/intakeOffer'
import { IntakeForm } from '@/ui/intake/IntakeForm'
import { drawnWheels } from '@/ui/wheel-drawing/drawnWheel'
import { planVisit } from '../../actions'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Intake' }

export default async function IntakePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const set = await wheelSetOr404(id)
  const db = await database()
  const last = await latestJobFile(db, id)
  return (
    <IntakeForm
      title={`${set.vehicleName}, ${set.name}`}
      wheels={drawnWheels(set.wheels)}
      offer={await intakeOffer(db, set, new Date())}
      airCelsius={last?.conditions.airCelsius ?? 18}
      ownEstimates={(await readSettings(db)).estimates}
      plan={planVisit.bind(null, id)}
    />
  )
}
