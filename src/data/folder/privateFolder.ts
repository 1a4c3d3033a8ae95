import { chmodSync, existsSync, lstatSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { isMainThread } from 'node:worker_threads'

/** What the program writes into a data folder. Anything else there belongs to somebody else. */
const own =
  /^(database(\..*|-damaged-.*)?|copies|snapshots|temporary|backups|network|logs|lock.*|owners?|owner\.json|backup-folders\.json|demo-(complete|folder))$/

/** Takes everybody else's rights off a file, or a folder and all in it. */
export function tighten(path: string): void {
  const found = lstatSync(path)
  if (found.isSymbolicLink()) return
  const wanted = found.isDirectory() ? 0o700 : 0o600
  if ((found.mode & 0o777) !== wanted) chmodSync(path, wanted)
  if (found.isDirectory()) for (const name of readdirSync(path)) tighten(join(path, name))
}

/**
 * Makes sure that only the owner of the machine's account can read the data, in a folder of an earlier version too. A file system
 * without such rights is left as it is.
 */
export function keepPrivate(folder: string): void {
  if (process.platform === 'win32' || !existsSync(folder)) return
  // Whatever this process writes from now on. Threads cannot say so, and have what their process has.
  if (isMainThread) process.umask(0o077)
  const names = readdirSync(folder)
  try {
    // A folder with other things in it keeps its own rights.
    if (names.every((name) => own.test(name))) chmodSync(folder, 0o700)
    for (const name of names.filter((one) => own.test(one))) tighten(join(folder, name))
  } catch (error) {
    if (!['EPERM', 'ENOTSUP', 'EINVAL', 'ENOSYS', 'EROFS'].includes((error as { code?: string }).code ?? ''))
      throw error
  }
}
