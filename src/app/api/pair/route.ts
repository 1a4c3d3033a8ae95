import { problemAnswer } from '@/app/problemAnswer'
import { currentTime } from '@/clock'
import { cookies } from 'next/headers'
import { pairInput } from '@/contracts/pairing'
import { database } from '@/services/records'
import { callerHeaders, deviceCookie } from '@/access-control/caller'
import { pairDevice } from '@/services/pairing'
import { readJson } from '../../readJson'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** Browsers keep no cookie for longer. */
const longestSeconds = 400 * 86_400

/** Lets a device in that knows the code of the desk. */
export const POST = route('anyone', async (request) => {
  const input = await readJson(request, pairInput)
  if (!input.ok) return problemAnswer(400, input.problems)
  const peer = request.headers.get(callerHeaders.peer) ?? ''
  const paired = await pairDevice(await database(), input.value, peer, currentTime())
  if (!paired.ok) return problemAnswer(403, paired.problems)
  const jar = await cookies()
  jar.set(deviceCookie, paired.value.token, {
    httpOnly: true, secure: true, sameSite: 'strict', path: '/', maxAge: longestSeconds,
  }) // prettier-ignore
  return Response.json({ role: paired.value.role })
})
