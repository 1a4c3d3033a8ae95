import { lookInput } from '@/contracts/protection'
import { recordLook } from '@/services/protection'
import { takeForSet } from '../../takeForSet'
import { route } from '@/app/access'

/** Keeps a look at some wheels; tells what it moved. */
export const POST = route<{ params: Promise<{ id: string }> }>('bay', async (request, { params }) => {
  return takeForSet(request, (await params).id, { schema: lookInput, maxBytes: 10_000, keep: recordLook })
})
