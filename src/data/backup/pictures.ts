import type { PictureFile } from '@/contracts/backup'
import type { PhotographSize } from '@/contracts/photograph'
import type { Queryable } from '../database'
import { addPicture } from '../queries/photographs'

/** Pictures that are read at a time: some megabytes. */
const stride = 32

/** All pictures, in the order of their photographs. */
export async function dumpPictures(transaction: Queryable): Promise<PictureFile[]> {
  await transaction.query(
    `declare pictures no scroll cursor for
     select photograph_id, size, jpeg from photograph_file order by photograph_id, size`,
  )
  const files: PictureFile[] = []
  for (;;) {
    const rows = await transaction.query<{ photograph_id: string; size: PhotographSize; jpeg: Uint8Array }>(
      `fetch ${stride} from pictures`,
    )
    for (const { photograph_id, size, jpeg } of rows) files.push({ photographId: photograph_id, size, jpeg })
    if (rows.length < stride) break
  }
  await transaction.query('close pictures')
  return files
}

/** Puts pictures in the place of those that are there. */
export async function fillPictures(transaction: Queryable, files: readonly PictureFile[]): Promise<void> {
  await transaction.query('delete from photograph_file')
  for (const { photographId, size, jpeg } of files) await addPicture(transaction, photographId, size, jpeg)
}
