import { maxPhotoBytes, photographInput } from '@/contracts/photograph'
import { keepPhotograph } from '@/services/photographs'
import { takeForSet } from '../../takeForSet'
import { route } from '@/app/access'

/** Keeps a photograph of some wheels. */
export const POST = route<{ params: Promise<{ id: string }> }>('bay', async (request, { params }) => {
  return takeForSet(request, (await params).id, {
    schema: photographInput,
    // Base64 makes four bytes of three.
    maxBytes: 1.4 * maxPhotoBytes,
    keep: keepPhotograph,
  })
})
