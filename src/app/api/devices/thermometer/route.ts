import { problemAnswer } from '@/app/problemAnswer'
import { message } from '@/core/message/message'
import { currentTime } from '@/clock'
import { positions } from '@/core/wheel/position'
import { simulatedSurface } from '@/services/devices'
import { answerAs } from '../simulatedFault'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** The simulated surface thermometer. */
export const GET = route('anyone', async (request) => {
  const { searchParams } = new URL(request.url)
  const position = positions.find((one) => one === searchParams.get('position'))
  const air = Number(searchParams.get('air') ?? 18)
  if (!position || !Number.isFinite(air))
    return problemAnswer(400, [
      {
        path: 'position',
        found: searchParams.get('position') ?? '',
        fix: message('fields.oneOf', { values: positions.join(', ') }),
      },
    ])
  return answerAs('thermometer', simulatedSurface(currentTime(), position, air))
})
