'use server'

import { revalidatePath } from 'next/cache'
import type { Problem } from '@/core/result'
import { parse } from '@/contracts/problems'
import { settings } from '@/contracts/settings'
import { database } from '@/data/connection'
import { isDataFailure } from '@/data/dataFailure'
import { writeSettings } from '@/data/queries/settings'

/** Saves the shop's settings as a whole; new plans follow them. */
export async function saveSettings(input: unknown): Promise<{ problems: readonly Problem[] }> {
  const read = parse(settings, input)
  if (!read.ok) return { problems: read.problems }
  try {
    await writeSettings(await database(), read.value)
  } catch (error) {
    if (isDataFailure(error)) return { problems: [{ path: '', found: error.reason, mend: error.message }] }
    throw error
  }
  revalidatePath('/', 'layout')
  return { problems: [] }
}
