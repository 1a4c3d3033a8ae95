'use server'

import { revalidatePath } from 'next/cache'
import { parse } from '@/contracts/problems'
import { settings } from '@/contracts/settings'
import { database } from '@/data/connection'
import { writeSettings } from '@/data/queries/settings'
import { isOwner, ownersOnly } from '../asker'
import { refusalOf, type Refusal } from '../refusal'

/** Saves the shop's settings as a whole; new plans follow them. */
export async function saveSettings(input: unknown): Promise<Refusal> {
  if (!(await isOwner())) return ownersOnly
  const read = parse(settings, input)
  if (!read.ok) return { problems: read.problems }
  try {
    await writeSettings(await database(), read.value)
  } catch (error) {
    return refusalOf(error)
  }
  revalidatePath('/', 'layout')
  return { problems: [] }
}
