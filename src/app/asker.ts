import { headers } from 'next/headers'
import { askerHeaders } from '@/gate/asker'
import type { DeviceRole } from '@/gate/roles'
import { refuse, type Refusal } from './refusal'

/** What who asks may do. Nobody comes as far as a page or an action without a role. */
export async function askerRole(): Promise<DeviceRole> {
  return (await headers()).get(askerHeaders.role) === 'bay' ? 'bay' : 'owner'
}

/** Up to which change the answer is sure to know everything; null: not known. */
export const livePlace = async (): Promise<string | null> => (await headers()).get(askerHeaders.livePlace)

/** Whether the device asks with everything an owner may. */
export const isOwner = async (): Promise<boolean> => (await askerRole()) === 'owner'

/** Whether it is the machine itself that asks, and no device of the network. */
export const isAskedAtDesk = async (): Promise<boolean> =>
  (await isOwner()) && (await headers()).get(askerHeaders.device) === null

export const ownersOnly: Refusal = refuse(
  '',
  'a device of the bay',
  'This is for the owner; do it at the desk.',
)
