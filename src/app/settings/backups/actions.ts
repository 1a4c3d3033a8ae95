'use server'

import { revalidatePath } from 'next/cache'
import * as v from 'valibot'
import { backupFolderInput } from '@/contracts/backup'
import { photographRoomInput } from '@/contracts/photograph'
import { parse } from '@/contracts/problems'
import { database } from '@/data/connection'
import { countPhotographs } from '@/data/queries/photographs'
import { chooseBackupFolder } from '@/services/backup/backupFolder'
import { makePhotographRoom } from '@/services/photographs/photographRoom'
import { isAskedAtDesk } from '../../asker'
import { answerOf, leadTo, refuse, type Refusal } from '../../refusal'

/** How many photographs were taken before a day, and what they take; nothing is changed. */
export async function lookBefore(
  day: unknown,
): Promise<Refusal & { readonly count?: number; readonly bytes?: number }> {
  const read = parse(v.pick(photographRoomInput, ['before']), { before: day })
  if (!read.ok) return { problems: read.problems }
  const { count, bytes } = await countPhotographs(await database(), read.value.before)
  return { problems: [], count, bytes }
}

/** Throws photographs away that were taken before a day, as they were counted. */
export async function throwAwayBefore(input: unknown): Promise<Refusal> {
  const read = parse(photographRoomInput, input)
  if (!read.ok) return { problems: read.problems }
  const { before, count } = read.value
  const made = await answerOf(async () => makePhotographRoom(await database(), before, count))
  return made.problems.length > 0 ? { problems: made.problems } : leadTo('/settings/backups')
}

/** Chooses the folder of this machine that backups go to. */
export async function keepFolder(input: unknown): Promise<Refusal> {
  if (!(await isAskedAtDesk()))
    return refuse(
      'folder',
      'a device of the network',
      'Folders are those of the machine; choose one at the desk.',
    )
  const read = parse(backupFolderInput, input)
  if (!read.ok) return { problems: read.problems }
  const { problems } = await answerOf(async () => chooseBackupFolder(await database(), read.value.folder))
  revalidatePath('/settings/backups')
  return { problems }
}
