import { message } from '@/core/message/message'
import { checkReading } from '@/core/protection/drivenBy'
import { fail, type Result } from '@/core/result'
import type { OdometerInput } from '@/contracts/protection'
import type { Database } from '@/data/database'
import { addReading, listReadings } from '@/data/queries/driving'
import { findWheelSet } from '@/data/queries/wheelSets'

/** Takes a reading of the odometer down. */
export function tellDriving(
  database: Database,
  wheelSetId: string,
  { kilometres, at: told }: OdometerInput,
  now: Date,
): Promise<Result<null>> {
  return database.transaction(async (transaction) => {
    const set = await findWheelSet(transaction, wheelSetId)
    if (!set)
      return fail({
        path: 'wheelSetId',
        found: wheelSetId,
        fix: message('problems.wheelSet.deleted'),
      })
    const reading = { at: told ?? now, kilometres }
    const checked = checkReading(reading, await listReadings(transaction, set.vehicleId), now)
    if (checked.ok) await addReading(transaction, set.vehicleId, reading)
    return checked
  })
}
