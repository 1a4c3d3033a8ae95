import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import type { PhotographInput } from '@/contracts/photograph'
import type { Database } from '@/data/database'
import {
  addPhotograph,
  countPhotographs,
  findPhotograph,
  isPhotographOfAnotherSet,
} from '@/data/queries/photographs'
import { setWithWheels } from '../wheel-sets/setWithWheels'
import { maxPhotoBytesTotal } from './photographRoom'
import { drawPictures } from './drawPictures'

/** Keeps a photograph of wheels of a set. */
export async function keepPhotograph(
  database: Database,
  wheelSetId: string,
  input: PhotographInput,
  now: Date,
): Promise<Result<null>> {
  const set = await setWithWheels(database, wheelSetId, input.positions)
  if (!set.ok) return set
  // Sent twice it is drawn once, and needs no more room.
  if (await findPhotograph(database, wheelSetId, input.requestId)) return succeed(null)
  if (await isPhotographOfAnotherSet(database, wheelSetId, input.requestId))
    return fail({
      path: 'requestId',
      found: input.requestId,
      fix: message('problems.photo.otherSent'),
    })
  const drawn = await drawPictures(Buffer.from(input.jpeg, 'base64'))
  if (!drawn.ok) return drawn
  const { pictures, ...size } = drawn.value
  return database.transaction(async (transaction) => {
    const { bytes } = await countPhotographs(transaction)
    if (bytes + pictures.whole.byteLength + pictures.small.byteLength > maxPhotoBytesTotal)
      return fail({
        path: 'jpeg',
        found: message('problems.photo.megabytes', { megabytes: Math.round(bytes / 1e6) }),
        fix: message('problems.photo.full', { megabytes: maxPhotoBytesTotal / 1e6 }),
      })
    await addPhotograph(
      transaction,
      wheelSetId,
      {
        id: input.requestId,
        jobId: input.jobId,
        positions: input.positions,
        takenAt: new Date(now.getTime() - input.secondsAgo * 1000),
        ...size,
      },
      pictures,
    )
    return succeed(null)
  })
}
