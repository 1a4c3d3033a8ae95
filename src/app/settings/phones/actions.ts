'use server'

import { currentTime } from '@/clock'
import { reasonOf } from '@/core/reasonOf'
import { cookies } from 'next/headers'
import { revalidatePath } from 'next/cache'
import { fail, succeed, type Result } from '@/core/result'
import { isUuid } from '@/contracts/fields'
import { pairingInput, passphraseInput } from '@/contracts/pairing'
import { parse } from '@/contracts/problems'
import { database } from '@/data/connection'
import { keepOpenToNetwork } from '@/data/queries/desk'
import { revokeDevice } from '@/data/queries/pairedDevices'
import { deskCookie } from '@/gate/asker'
import { canOpenNetwork, networkAddress, openNetwork } from '@/services/pairing/network'
import { beginPairing } from '@/services/pairing/pairDevice'
import { setPassphrase } from '@/services/pairing/passphrase'
import { spokenCode } from '@/services/pairing/secrets'
import { isOwner, ownersOnly } from '../../asker'
import { answerOf, refuse, type Refusal } from '../../refusal'
import { qrOf } from '../../qrOf'

/** Opens the program to the shop's network, now and at every start; or shuts it. */
export async function letNetworkIn(isOpen: unknown): Promise<Refusal> {
  if (!(await isOwner())) return ownersOnly
  if (typeof isOpen !== 'boolean') return refuse('isOpen', String(isOpen).slice(0, 20), 'Give true or false.')
  if (!canOpenNetwork())
    return refuse('', 'a start without the program’s own server', 'Start it with npm start.')
  const answer = await answerOf(async () => {
    try {
      await openNetwork(isOpen)
    } catch (error) {
      const reason = reasonOf(error)
      return fail({
        path: '',
        found: reason,
        mend: 'The port is taken or may not be used; start with another --port.',
      })
    }
    await keepOpenToNetwork(await database(), isOpen)
    return succeed(null)
  })
  revalidatePath('/settings/phones')
  return { problems: answer.problems }
}

/** A code to pair one device with, as text and as a picture for its camera. */
export interface PairingCode {
  readonly code: string
  readonly qr: string
  readonly address: string
  readonly expiresAt: Date
}

export async function newPairingCode(input: unknown): Promise<Result<PairingCode>> {
  if (!(await isOwner())) return { ok: false, problems: ownersOnly.problems }
  const read = parse(pairingInput, input)
  if (!read.ok) return read
  const address = networkAddress()
  if (!address)
    return fail({ path: '', found: 'the network is shut', mend: 'Let the shop’s network in first.' })
  const { code, expiresAt } = await beginPairing(await database(), read.value.role, currentTime())
  return succeed({ code: spokenCode(code), qr: await qrOf(`${address}/pair#${code}`), address, expiresAt })
}

/** Puts a device out, at once. */
export async function putOut(id: unknown): Promise<Refusal> {
  if (!(await isOwner())) return ownersOnly
  if (typeof id !== 'string' || !isUuid(id)) return refuse('id', 'no device', 'Choose a device of the list.')
  const answer = await answerOf(async () => {
    await revokeDevice(await database(), id, currentTime())
    return succeed(null)
  })
  revalidatePath('/settings/phones')
  return { problems: answer.problems }
}

export async function changePassphrase(input: unknown): Promise<Refusal> {
  if (!(await isOwner())) return ownersOnly
  const read = parse(passphraseInput, input)
  if (!read.ok) return { problems: read.problems }
  const answer = await answerOf(async () => setPassphrase(await database(), read.value))
  const jar = await cookies()
  if (answer.value?.token)
    jar.set(deskCookie, answer.value.token, { httpOnly: true, sameSite: 'strict', path: '/' })
  revalidatePath('/settings/phones')
  return { problems: answer.problems }
}
