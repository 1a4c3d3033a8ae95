import { problemAnswer } from '@/app/problemAnswer'
import { message } from '@/core/message/message'
import { currentTime } from '@/clock'
import { simulatedWater } from '@/services/devices'
import { answerAs } from '../simulatedFault'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

const maxHardnessPpm = 3000

/** The simulated meter for dissolved solids. */
export const GET = route('anyone', async (request) => {
  const text = new URL(request.url).searchParams.get('hardness') ?? '250'
  const hardness = Number(text)
  if (!Number.isFinite(hardness) || hardness < 0 || hardness > maxHardnessPpm)
    return problemAnswer(400, [
      {
        path: 'hardness',
        found: text,
        fix: message('fields.between', { low: { ppm: 0 }, high: { ppm: maxHardnessPpm } }),
      },
    ])
  return answerAs('tds', simulatedWater(currentTime(), hardness))
})
