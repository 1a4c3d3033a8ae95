import { currentTime } from '@/clock'
import { route } from '@/app/access'
export const dynamic = 'force-dynamic'

/** The server's instant, for devices whose own clock is off. */
export const GET = route('bay', async () => {
  return Response.json({ milliseconds: currentTime().getTime() })
})
