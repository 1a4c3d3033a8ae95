import { currentTime } from '@/clock'
import { simulatedWater } from '@/services/devices/simulated'
import { answerAs } from '../simulatedFault'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** The simulated meter for dissolved solids. */
export const GET = route('anyone', async (request) => {
  const text = new URL(request.url).searchParams.get('hardness') ?? '250'
  const hardness = Number(text)
  if (!Number.isFinite(hardness) || hardness < 0 || hardness > 3000)
    return Response.json(
      { problems: [{ path: 'hardness', found: text, mend: 'Give a number from 0 to 3000 ppm.' }] },
      { status: 400 },
    )
  return answerAs('tds', simulatedWater(currentTime(), hardness))
})
