import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import type { Position } from '@/core/wheel/position'
import type { LayerInput, RenewalInput } from '@/contracts/protection'
import type { Database, Queryable } from '@/data/database'
import { addLayer, addWheelRenewal, endAll, hasLayer } from '@/data/queries/protection'
import { setWithWheels } from '../wheel-sets/setWithWheels'

/** Whether something could be put on some wheels of a set at a time. */
async function check(
  database: Queryable,
  wheelSetId: string,
  positions: readonly Position[],
  at: Date,
  now: Date,
): Promise<Result<unknown>> {
  return at > now
    ? fail({
        path: 'at',
        found: at.toISOString(),
        fix: message('problems.layer.pastTime'),
      })
    : setWithWheels(database, wheelSetId, positions)
}

/** Enters protection that was put on outside a visit, here or elsewhere. All wheels or none. */
export function putLayerOn(
  database: Database,
  wheelSetId: string,
  input: LayerInput,
  now: Date,
): Promise<Result<null>> {
  return database.transaction(async (transaction) => {
    const at = input.at ?? now
    const checked = await check(transaction, wheelSetId, input.positions, at, now)
    if (!checked.ok) return checked
    if (input.cureUntil && input.cureUntil < at)
      return fail({
        path: 'cureUntil',
        found: input.cureUntil.toISOString(),
        fix: message('problems.layer.cureBefore'),
      })
    for (const position of input.positions) {
      const layer = { ...input, position, appliedAt: at }
      if (!(await hasLayer(transaction, wheelSetId, layer)))
        await addLayer(transaction, wheelSetId, layer, null)
    }
    return succeed(null)
  })
}

/** Wheels that are new or were repainted have nothing on them that was on before. */
export function renewWheels(
  database: Database,
  wheelSetId: string,
  input: RenewalInput,
  now: Date,
): Promise<Result<null>> {
  return database.transaction(async (transaction) => {
    const at = input.at ?? now
    const checked = await check(transaction, wheelSetId, input.positions, at, now)
    if (!checked.ok) return checked
    await addWheelRenewal(transaction, wheelSetId, input.kind, input.positions, at)
    await endAll(transaction, wheelSetId, input.positions, at)
    return succeed(null)
  })
}
