import { writeCabinetCsv } from '@/contracts/cabinetCsv'
import { readSettings } from '@/services/settings'
import { database } from '@/services/records'
import { listProducts } from '@/services/cabinet'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** The products as a table; a byte order mark tells spreadsheets that it is UTF-8. */
export const GET = route('owner', async () => {
  const db = await database()
  const { currency, region } = await readSettings(db)
  return new Response(`\uFEFF${writeCabinetCsv(await listProducts(db), currency, region?.units.volume)}`, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="cabinet.csv"',
    },
  })
})
