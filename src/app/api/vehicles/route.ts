import { database } from '@/services/records'
import { listVehicles } from '@/services/wheel-sets'
import { route } from '@/app/access'

/** So many are offered to choose from. */
const offered = 12

/** Known vehicles with a text in their name. */
export const GET = route('owner', async (request) => {
  const name = (request.nextUrl.searchParams.get('name') ?? '').trim().slice(0, 100)
  return Response.json({
    vehicles: name === '' ? [] : await listVehicles(await database(), { name, most: offered }),
  })
})
