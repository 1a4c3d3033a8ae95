import { currentTime } from '@/clock'
import { simulatedWeather } from '@/services/devices'
import { answerAs } from '../simulatedFault'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

const numberOr = (text: string | null, otherwise: number): number => {
  const value = Number(text)
  return text === null || !Number.isFinite(value) ? otherwise : value
}

/** The simulated weather feed. */
export const GET = route('anyone', async (request) => {
  const { searchParams } = new URL(request.url)
  return answerAs(
    'weather',
    simulatedWeather(
      currentTime(),
      numberOr(searchParams.get('offset'), 0),
      numberOr(searchParams.get('latitude'), 50),
    ),
  )
})
