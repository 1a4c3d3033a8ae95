import { chmodSync, existsSync, mkdtempSync, rmSync, statfsSync } from 'node:fs'
import { join } from 'node:path'

const memory = '/dev/shm'
const neededBytes = 3e9

/**
 * Has tests keep their folders in memory, where the system has room for that: they make and remove thousands of files, and a disk takes
 * longer for it than the tests themselves.
 */
export function keepInMemory() {
  if (process.env.EVEN_SPOKE_TEST_FOLDER || !existsSync(memory)) return
  const { bavail, bsize } = statfsSync(memory)
  if (bavail * bsize < neededBytes) return
  const folder = mkdtempSync(join(memory, 'even-spoke-tests-'))
  // The PostgreSQL server runs as a user of its own, who has to get through to its folder.
  chmodSync(folder, 0o711)
  process.env.EVEN_SPOKE_TEST_FOLDER = folder
  process.env.TMPDIR = folder
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }))
}
