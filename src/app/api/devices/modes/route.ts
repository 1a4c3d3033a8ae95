import { problemAnswer } from '@/app/problemAnswer'
import { deviceModeChange, deviceNames } from '@/contracts/devices'
import { parse } from '@/contracts/problems'
import { modeOf, setMode } from '@/services/devices'
import { readLimitedText } from '../../readLimitedText'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

const all = () => Object.fromEntries(deviceNames.map((name) => [name, modeOf(name)]))

export const GET = route('owner', () => Response.json(all()))

/** Tells a simulated device how to behave. */
export const POST = route('owner', async (request) => {
  const text = await readLimitedText(request, 1000)
  let value: unknown = null
  try {
    value = text.ok ? JSON.parse(text.value) : null
  } catch {
    // Refused below with the shape that is wanted.
  }
  const read = parse(deviceModeChange, value)
  if (!read.ok) return problemAnswer(400, read.problems)
  setMode(read.value.device, read.value.mode)
  return Response.json(all())
})
