import type { Metadata } from 'next'
import { database } from '@/data/connection'
import { latestJobFile } from '@/data/queries/jobs'
import { IntakeForm } from '@/ui/intake/IntakeForm'
import { drawnWheels } from '@/ui/wheel-drawing/drawnWheel'
import { planVisit } from '../../actions'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Intake' }

export default async function IntakePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const set = await wheelSetOr404(id)
  const last = await latestJobFile(await database(), id)
  return (
    <IntakeForm
      title={`${set.vehicleName}, ${set.name}`}
      wheels={drawnWheels(set.wheels)}
      last={
        last && {
          corners: last.corners.map(({ position, loads }) => ({ position, loads })),
          conditions: last.conditions,
        }
      }
      plan={planVisit.bind(null, id)}
    />
  )
}
