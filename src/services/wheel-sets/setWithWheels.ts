import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import type { Position } from '@/core/wheel/position'
import type { Queryable } from '@/data/database'
import { findWheelSet, type WheelSet } from '@/data/queries/wheelSets'

/** A wheel set, held to have all of some wheels. */
export async function setWithWheels(
  database: Queryable,
  wheelSetId: string,
  positions: readonly Position[],
): Promise<Result<WheelSet>> {
  const set = await findWheelSet(database, wheelSetId)
  if (!set)
    return fail({
      path: 'wheelSetId',
      found: wheelSetId,
      fix: message('problems.wheelSet.deleted'),
    })
  const missing = positions.find((position) => !set.wheels.some((wheel) => wheel.position === position))
  return missing === undefined
    ? succeed(set)
    : fail({
        path: 'positions',
        found: missing,
        fix: message('problems.wheelSet.noSuchWheel'),
      })
}
