import { notFound } from 'next/navigation'
import { isUuid } from '@/contracts/fields'
import { database } from '@/data/connection'
import { findWheelSet, type WheelSet } from '@/data/queries/wheelSets'

/** The wheel set of a page, or the page that says it is not there. */
export async function wheelSetOr404(id: string): Promise<WheelSet> {
  const set = isUuid(id) ? await findWheelSet(await database(), id) : null
  return set ?? notFound()
}
