import { message } from '@/core/message/message'
import { printError } from '@/i18n/terminal'
import { reasonOf } from '@/core/reasonOf'
import { database } from '@/data/connection'
import { readDesk } from '@/data/queries/desk'
import { openNetwork } from './network'

/** At the start: the shop's network is let in where a person has once let it in. */
export async function openNetworkAsKept(): Promise<void> {
  const { isOpenToNetwork } = await readDesk(await database())
  if (!isOpenToNetwork) return
  try {
    await openNetwork(true)
  } catch (error) {
    printError(message('data.networkFailed', { reason: reasonOf(error) }))
  }
}
