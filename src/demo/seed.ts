import { currentTime } from '@/clock'
import { reasonOf } from '@/core/reasonOf'
import { access, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { isDataFailure } from '@/data/dataFailure'
import { lockFolder } from '@/data/folder/folderLock'
import { openDatabase } from '@/data/openDatabase'
import { fillDemo } from './fillDemo'

/** Left in the folder when the demo data is whole; without it the next start fills anew. */
const completeMark = 'demo-complete'
/** Marks a folder as demo data from its first moment; only such a folder is ever emptied. */
const demoMark = 'demo-folder'

const exists = (path: string): Promise<boolean> =>
  access(path).then(
    () => true,
    () => false,
  )

async function main(folder: string): Promise<void> {
  if ((await exists(join(folder, 'database'))) && !(await exists(join(folder, demoMark)))) {
    throw new Error(
      `${folder} holds data that is not demo data. Nothing was changed; choose another folder with --data.`,
    )
  }
  // The lock is held while the old data goes, so that a running demo is refused and not pulled from under.
  const lock = await lockFolder(folder, { onLost: () => process.exit(75) })
  await writeFile(join(folder, demoMark), 'Demo data: a reset deletes the database in this folder.\n')
  await rm(join(folder, completeMark), { force: true })
  for (const old of ['database', 'copies']) await rm(join(folder, old), { recursive: true, force: true })
  await lock.release()
  const database = await openDatabase(folder)
  await fillDemo(database, currentTime(), (text) => process.stdout.write(`  ${text}\n`))
  // The engine cleans up only when told to.
  await database.query('vacuum analyze')
  await database.close()
  await writeFile(join(folder, completeMark), 'The demo data is complete.\n')
}

const folder = process.env.EVEN_SPOKE_DATA
if (!folder) {
  process.stderr.write('Set EVEN_SPOKE_DATA to the folder to fill.\n')
  process.exit(64)
}
main(folder).catch((error: unknown) => {
  process.stderr.write(`${reasonOf(error)}\n`)
  process.exit(isDataFailure(error) ? error.exitCode : 70)
})
