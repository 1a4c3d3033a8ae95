'use server'

import { revalidatePath } from 'next/cache'
import * as v from 'valibot'
import { versionNumber } from '@/contracts/fields'
import { parse } from '@/contracts/problems'
import { settings } from '@/contracts/settings'
import { database } from '@/data/connection'
import { writeSettings } from '@/data/queries/settings'
import { isOwner, ownersOnly } from '../asker'
import { refusalOf, refuse, type Refusal } from '../refusal'

/** Saves the shop's settings as a whole; new plans follow them. */
export async function saveSettings(fromVersion: unknown, input: unknown): Promise<Refusal> {
  if (!(await isOwner())) return ownersOnly
  if (!v.is(versionNumber, fromVersion)) return refuse('version', 'none', 'Load the page again.')
  const read = parse(settings, input)
  if (!read.ok) return { problems: read.problems }
  try {
    if (!(await writeSettings(await database(), read.value, fromVersion)))
      return refuse(
        'version',
        `version ${fromVersion}`,
        'The settings were changed in another window since you opened them. Nothing was overwritten; your entries are still here.',
      )
  } catch (error) {
    return refusalOf(error)
  }
  revalidatePath('/', 'layout')
  return { problems: [] }
}
