import { database } from '@/services/records'
import { exportCabinet } from '@/services/cabinet'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** Products and tools as a cabinet file. */
export const GET = route('owner', async () => {
  return new Response(`${JSON.stringify(await exportCabinet(await database()), null, 2)}\n`, {
    headers: {
      'content-type': 'application/json',
      'content-disposition': 'attachment; filename="cabinet.json"',
    },
  })
})
