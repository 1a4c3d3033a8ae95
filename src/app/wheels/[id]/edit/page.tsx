import { titled } from '@/i18n/titled'
import { WheelSetForm } from '@/ui/wheel-set/WheelSetForm'
import { saveWheelSet } from '../../actions'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('wheelSet.edit')

export default async function EditWheelSetPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const set = await wheelSetOr404(id)
  return (
    <>
      <header className="place-head">
        <h1>
          {set.vehicleName}, {set.name}
        </h1>
      </header>
      <WheelSetForm
        of={id}
        version={set.version + set.vehicleVersion}
        initial={{
          vehicle: {
            name: set.vehicleName,
            kind: set.vehicleKind,
            archLiner: set.archLiner,
            brakes: set.brakes,
            kilometresPerWeek: set.kilometresPerWeek,
            parked: set.parked,
          },
          name: set.name,
          season: set.season,
          note: set.note,
          wheels: [...set.wheels],
        }}
        save={saveWheelSet.bind(null, id, { version: set.version, vehicleVersion: set.vehicleVersion })}
        cancelHref={`/wheels/${id}`}
      />
    </>
  )
}
