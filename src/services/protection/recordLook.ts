import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import { type LookEffect, saidOfLook } from '@/core/due'
import { beads } from '@/core/protection/kinds'
import type { LookInput } from '@/contracts/protection'
import type { Database } from '@/data/database'
import { addLook } from '@/data/queries/looks'
import { askForecast } from '@/services/forecast'
import { setWithWheels } from '../wheel-sets/setWithWheels'

/** Keeps a look at some wheels of a set, and says what it moved. */
export async function recordLook(
  database: Database,
  wheelSetId: string,
  input: LookInput,
  now: Date,
): Promise<Result<readonly LookEffect[]>> {
  const set = await setWithWheels(database, wheelSetId, input.positions)
  if (!set.ok) return set
  const at = new Date(now.getTime() - input.secondsAgo * 1000)
  const before = await askForecast(database, now, 'forecastOfSet', { wheelSetId })
  const isOn = before?.facts.layers.some(
    (layer) =>
      beads(layer.kind) &&
      layer.appliedAt <= at &&
      layer.positions.some((position) => input.positions.includes(position)),
  )
  if (!isOn)
    return fail({
      path: 'positions',
      found: input.positions.join(', '),
      fix: message('problems.check.noLayer'),
    })
  const { requestId, secondsAgo: _, ...seen } = input
  await addLook(database, wheelSetId, { ...seen, id: requestId, at })
  const after = await askForecast(database, now, 'forecastOfSet', { wheelSetId })
  return succeed(saidOfLook(before?.layers, after?.layers, after?.facts))
}
