import { mostPhotographBytes, photographInput } from '@/contracts/photograph'
import { keepPhotograph } from '@/services/photographs/keepPhotograph'
import { takeForSet } from '../../takeForSet'

/** Keeps a photograph of some wheels. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return takeForSet(request, (await params).id, {
    schema: photographInput,
    // Base64 makes four bytes of three.
    mostBytes: 1.4 * mostPhotographBytes,
    keep: keepPhotograph,
  })
}
