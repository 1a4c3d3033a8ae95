import { problemAnswer } from '@/app/problemAnswer'
import { message } from '@/core/message/message'
import { isUuid } from '@/contracts/fields'
import { database } from '@/services/records'
import { readPicture } from '@/services/photographs'
import { route } from '@/app/access'

/** A photograph as a JPEG file; `?size=small` for lists. */
export const GET = route<{ params: Promise<{ id: string }> }>('bay', async (request, { params }) => {
  const { id } = await params
  const size = request.nextUrl.searchParams.get('size') === 'small' ? 'small' : 'whole'
  const jpeg = isUuid(id) ? await readPicture(await database(), id, size) : null
  return jpeg
    ? new Response(new Uint8Array(jpeg), { headers: { 'content-type': 'image/jpeg' } })
    : problemAnswer(404, [
        { path: 'id', found: JSON.stringify(id.slice(0, 40)), fix: message('problems.notThere.photo') },
      ])
})
