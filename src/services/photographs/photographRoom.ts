import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import type { Database } from '@/data/database'
import { countPhotographs, removePhotographsBefore, type PhotographCount } from '@/data/queries/photographs'

/** Room for all photographs of a shop: some two thousand. A backup holds them all, and is made whole in memory. */
export const maxPhotoBytesTotal = 400_000_000

/** What is taken, of how much. */
export interface PhotographRoom extends PhotographCount {
  readonly maxBytes: number
}

export const photographRoom = async (database: Database): Promise<PhotographRoom> => ({
  ...(await countPhotographs(database)),
  maxBytes: maxPhotoBytesTotal,
})

/**
 * Throws photographs away that were taken before a day.
 * @param seen how many that are, as a person was told; other ones are not touched
 */
export function makePhotographRoom(database: Database, before: Date, seen: number): Promise<Result<null>> {
  return database.transaction(async (transaction) => {
    const { count } = await countPhotographs(transaction, before)
    if (count !== seen)
      return fail({
        path: 'before',
        found: `${count} photographs`,
        fix: message('problems.photo.changedElsewhere'),
      })
    await removePhotographsBefore(transaction, before)
    return succeed(null)
  })
}
