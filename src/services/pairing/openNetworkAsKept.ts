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
    process.stderr.write(`The shop's network could not be let in: ${reasonOf(error)}\n`)
  }
}
