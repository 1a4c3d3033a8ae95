import type { NextRequest } from 'next/server'
import { isUuid } from '@/contracts/fields'
import { database } from '@/data/connection'
import { readPicture } from '@/data/queries/photographs'

/** A photograph as a JPEG file; `?size=small` for lists. */
export async function GET(request: NextRequest, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const size = request.nextUrl.searchParams.get('size') === 'small' ? 'small' : 'whole'
  const jpeg = isUuid(id) ? await readPicture(await database(), id, size) : null
  return jpeg
    ? new Response(new Uint8Array(jpeg), { headers: { 'content-type': 'image/jpeg' } })
    : Response.json(
        {
          problems: [
            { path: 'id', found: JSON.stringify(id.slice(0, 40)), mend: 'There is no such photograph.' },
          ],
        },
        { status: 404 },
      )
}
