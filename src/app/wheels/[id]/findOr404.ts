import { notFound } from 'next/navigation'
import { cache } from 'react'
import { isUuid } from '@/contracts/fields'
import { database } from '@/services/records'
import { findWheelSet, type WheelSet } from '@/services/wheel-sets'

/** The wheel set of a page, read once for it, or the page that says it is not there. */
export const wheelSetOr404 = cache(async (id: string): Promise<WheelSet> => {
  const set = isUuid(id) ? await findWheelSet(await database(), id) : null
  return set ?? notFound()
})
