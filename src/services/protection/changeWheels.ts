import { message } from '@/core/message/message'
import { checkReading } from '@/core/protection/drivenBy'
import { checkWheelChange } from '@/core/protection/wheelChange'
import { fail, succeed, type Result } from '@/core/result'
import type { WheelChangeInput } from '@/contracts/protection'
import type { Database } from '@/data/database'
import { addReading, listReadings } from '@/data/queries/driving'
import { addTyreReading, addWheelChange, listWheelChanges } from '@/data/queries/wheelChanges'
import { setsOfVehicle } from '@/data/queries/wheelSets'

/** Takes down which set of a vehicle goes on; the others are stored from then on. All of it or nothing. */
export function changeWheels(
  database: Database,
  vehicleId: string,
  input: WheelChangeInput,
  now: Date,
): Promise<Result<null>> {
  return database.transaction(async (transaction) => {
    const at = input.at ?? now
    const changes = await listWheelChanges(transaction, vehicleId)
    if (changes.some(({ id }) => id === input.requestId)) return succeed(null)
    const own = await setsOfVehicle(transaction, vehicleId)
    if (input.mountedSetId !== null && !own.some(({ id }) => id === input.mountedSetId))
      return fail({
        path: 'mountedSetId',
        found: input.mountedSetId,
        fix: message('problems.wheelChange.otherVehicle'),
      })
    const last = changes.at(-1)
    if (last && last.mountedSetId === input.mountedSetId)
      return fail({
        path: 'mountedSetId',
        found: own.find(({ id }) => id === input.mountedSetId)?.name ?? 'none',
        fix: message('problems.wheelChange.fitted'),
      })
    const checked = checkWheelChange(at, changes, now)
    if (!checked.ok) return checked
    if (input.kilometres !== null) {
      const reading = { at, kilometres: input.kilometres }
      const read = checkReading(reading, await listReadings(transaction, vehicleId), now)
      if (!read.ok) return read
      await addReading(transaction, vehicleId, reading)
    }
    await addWheelChange(transaction, vehicleId, { ...input, id: input.requestId, at })
    if (input.mountedSetId !== null && (input.dateCode !== '' || input.treadMillimetres !== null))
      await addTyreReading(transaction, input.mountedSetId, at, input.dateCode, input.treadMillimetres)
    return succeed(null)
  })
}
