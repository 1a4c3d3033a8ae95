import type { Database } from '@/data/database'
import { findPairedDevice, noteSeen, type PairedDevice } from '@/data/queries/pairedDevices'
import { hashOf } from './secrets'

/** So long a device is believed without asking again, ms: a revoked one is out within a second. */
const believedMilliseconds = 500
/** It is written down when a device was seen, at most so often, ms. */
const seenMilliseconds = 60_000
const maxBelieved = 1000

interface Believed {
  readonly device: PairedDevice | null
  /** By a clock that nobody sets, ms. */
  readonly askedAt: number
}
const believed = new Map<string, Believed>()

/** The device a token belongs to; null: none, or one that was put out. */
export async function knownDevice(
  database: Database,
  token: string,
  now: Date,
): Promise<PairedDevice | null> {
  const hash = hashOf(token)
  const kept = believed.get(hash)
  if (kept && performance.now() - kept.askedAt < believedMilliseconds) return kept.device
  const found = await findPairedDevice(database, hash)
  const device = found?.revokedAt === null ? found : null
  if (believed.size >= maxBelieved) believed.clear()
  believed.set(hash, { device, askedAt: performance.now() })
  if (device && Math.abs(now.getTime() - (device.lastSeenAt?.getTime() ?? 0)) > seenMilliseconds)
    await noteSeen(database, device.id, now)
  return device
}
