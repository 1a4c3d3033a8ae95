import type { NextRequest } from 'next/server'
import { database } from '@/data/connection'
import { listVehicles } from '@/data/queries/vehicles'

/** So many are offered to choose from. */
const offered = 12

/** Known vehicles with a text in their name. */
export async function GET(request: NextRequest): Promise<Response> {
  const name = (request.nextUrl.searchParams.get('name') ?? '').trim().slice(0, 100)
  return Response.json({
    vehicles: name === '' ? [] : await listVehicles(await database(), { name, most: offered }),
  })
}
