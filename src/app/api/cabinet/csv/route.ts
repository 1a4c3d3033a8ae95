import { writeCabinetCsv } from '@/contracts/cabinetCsv'
import { database } from '@/data/connection'
import { listProducts } from '@/data/queries/cabinet'

export const dynamic = 'force-dynamic'

/** The products as a table; a byte order mark tells spreadsheets that it is UTF-8. */
export async function GET() {
  return new Response(`\uFEFF${writeCabinetCsv(await listProducts(await database()))}`, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="cabinet.csv"',
    },
  })
}
