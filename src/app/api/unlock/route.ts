import { problemAnswer } from '@/app/problemAnswer'
import { cookies } from 'next/headers'
import { unlockInput } from '@/contracts/pairing'
import { database } from '@/services/records'
import { deskCookie } from '@/access-control/caller'
import { unlockDesk } from '@/services/pairing'
import { readJson } from '../../readJson'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** Begins a sitting at the desk, until the browser is closed. */
export const POST = route('anyone', async (request) => {
  const input = await readJson(request, unlockInput)
  if (!input.ok) return problemAnswer(400, input.problems)
  const unlocked = await unlockDesk(await database(), input.value.passphrase)
  if (!unlocked.ok) return problemAnswer(403, unlocked.problems)
  const jar = await cookies()
  jar.set(deskCookie, unlocked.value.token, { httpOnly: true, sameSite: 'strict', path: '/' })
  return Response.json({ ok: true })
})
