'use server'

import { revalidatePath } from 'next/cache'
import { succeed } from '@/core/result'
import { backupFolderInput } from '@/contracts/backup'
import { photographRoomInput } from '@/contracts/photograph'
import { database } from '@/services/records'
import { countPhotographs, makePhotographRoom } from '@/services/photographs'
import { chooseBackupFolder } from '@/services/backup'
import { action } from '../../access'
import { answerOf, leadTo, type Refusal } from '../../refusal'

/** How many photos were taken before a day, and what they take; nothing is changed. */
export const lookBefore = action(
  'owner',
  [photographRoomInput.entries.before],
  async (day): Promise<Refusal & { readonly count?: number; readonly bytes?: number }> => {
    const { problems, value } = await answerOf(async () =>
      succeed(await countPhotographs(await database(), day)),
    )
    return { problems, count: value?.count, bytes: value?.bytes }
  },
)

/** Deletes photos that were taken before a day, as they were counted. */
export const throwAwayBefore = action(
  'owner',
  [photographRoomInput],
  async ({ before, count }): Promise<Refusal> => {
    const { problems } = await answerOf(async () => makePhotographRoom(await database(), before, count))
    return problems.length > 0 ? { problems } : leadTo('/settings/backups')
  },
)

/** Chooses the folder of this machine that backups go to. */
export const keepFolder = action('desk', [backupFolderInput], async ({ folder }): Promise<Refusal> => {
  const { problems } = await answerOf(async () => chooseBackupFolder(await database(), folder))
  revalidatePath('/settings/backups')
  return { problems }
})
