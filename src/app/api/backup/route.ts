import { createReadStream } from 'node:fs'
import { rm, stat } from 'node:fs/promises'
import { Readable } from 'node:stream'
import { currentTime } from '@/clock'
import { database, dataFolder } from '@/services/records'
import { backUp, nextBackupName, temporaryPath } from '@/services/backup'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** Everything that is stored, as one zip. It is written to a file first, so that its size is known and little is in memory. */
export const GET = route('owner', async () => {
  const now = currentTime()
  const path = await temporaryPath(dataFolder(), 'zip')
  await backUp(await database(), now, path)
  const { size } = await stat(path)
  const file = createReadStream(path)
  file.once('close', () => void rm(path, { force: true }))
  return new Response(Readable.toWeb(file) as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-length': String(size),
      'content-disposition': `attachment; filename="${nextBackupName([], now)}"`,
    },
  })
})

/** Nobody makes a whole backup to learn its size. */
export const HEAD = route('owner', () => new Response(null, { status: 405, headers: { allow: 'GET' } }))
