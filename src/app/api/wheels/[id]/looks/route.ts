import { lookInput } from '@/contracts/protection'
import { recordLook } from '@/services/recordLook'
import { takeForSet } from '../../takeForSet'

/** Keeps a look at some wheels; tells what it moved. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return takeForSet(request, (await params).id, { schema: lookInput, mostBytes: 10_000, keep: recordLook })
}
