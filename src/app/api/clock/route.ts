import { currentTime } from '@/clock'
export const dynamic = 'force-dynamic'

/** The server's instant, for devices whose own clock is off. */
export function GET() {
  return Response.json({ milliseconds: currentTime().getTime() })
}
