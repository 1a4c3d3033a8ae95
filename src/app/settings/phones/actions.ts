'use server'

import { message } from '@/core/message/message'
import { currentTime } from '@/clock'
import { reasonOf } from '@/core/reasonOf'
import { cookies } from 'next/headers'
import * as v from 'valibot'
import { revalidatePath } from 'next/cache'
import { fail, succeed, type Result } from '@/core/result'
import { uuidOf } from '@/contracts/fields'
import { pairingInput, passphraseInput } from '@/contracts/pairing'
import { database } from '@/services/records'
import {
  beginPairing,
  canOpenNetwork,
  keepOpenToNetwork,
  networkAddress,
  openNetwork,
  revokePairedDevice,
  setPassphrase,
  spokenCode,
} from '@/services/pairing'
import { deskCookie } from '@/access-control/caller'
import { action } from '../../access'
import { answerOf, refuse, type Refusal } from '../../refusal'
import { qrOf } from '../../qrOf'

/** Opens the program to the shop's network, now and at every start; or shuts it. */
export const allowNetwork = action('owner', [v.boolean()], async (isOpen): Promise<Refusal> => {
  if (!canOpenNetwork())
    return refuse('', message('problems.phones.otherServer'), message('problems.phones.start'))
  const answer = await answerOf(async () => {
    try {
      await openNetwork(isOpen)
    } catch (error) {
      const reason = reasonOf(error)
      return fail({
        path: '',
        found: reason,
        fix: message('problems.phones.port'),
      })
    }
    await keepOpenToNetwork(await database(), isOpen)
    return succeed(null)
  })
  revalidatePath('/settings/phones')
  return { problems: answer.problems }
})

/** A code to pair one device with, as text and as a picture for its camera. */
export interface PairingCode {
  readonly code: string
  readonly qr: string
  readonly address: string
  readonly expiresAt: Date
}

/** Makes a code that lets one device in. */
export const newPairingCode = action(
  'owner',
  [pairingInput],
  async ({ role }): Promise<Result<PairingCode>> => {
    const address = networkAddress()
    if (!address)
      return fail({ path: '', found: message('problems.phones.shut'), fix: message('problems.phones.allow') })
    const { code, expiresAt } = await beginPairing(await database(), role, currentTime())
    return succeed({ code: spokenCode(code), qr: await qrOf(`${address}/pair#${code}`), address, expiresAt })
  },
)

/** Revokes a device's access, at once. */
export const revokeDevice = action(
  'owner',
  [uuidOf(message('problems.phones.chooseDevice'))],
  async (id): Promise<Refusal> => {
    const answer = await answerOf(async () => {
      await revokePairedDevice(await database(), id, currentTime())
      return succeed(null)
    })
    revalidatePath('/settings/phones')
    return { problems: answer.problems }
  },
)

/** Sets, changes or removes the passphrase of the desk. */
export const changePassphrase = action('owner', [passphraseInput], async (input): Promise<Refusal> => {
  const answer = await answerOf(async () => setPassphrase(await database(), input))
  const jar = await cookies()
  if (answer.value?.token)
    jar.set(deskCookie, answer.value.token, { httpOnly: true, sameSite: 'strict', path: '/' })
  revalidatePath('/settings/phones')
  return { problems: answer.problems }
})
