import type { DeviceName } from '@/contracts/devices'
import { modeOf } from '@/services/devices'

const slowMilliseconds = 5000

/** Answers as the device was told to behave: with its reading, late, with nonsense, or not at all. */
export async function answerAs(device: DeviceName, reading: object): Promise<Response> {
  switch (modeOf(device)) {
    case 'silent':
      return new Response(null, { status: 503 })
    case 'slow':
      await new Promise((resolve) => setTimeout(resolve, slowMilliseconds))
      return Response.json(reading)
    case 'senseless':
      return Response.json({ ...reading, airCelsius: 900, celsius: 900, afterPpm: -40 })
    default:
      return Response.json(reading)
  }
}
