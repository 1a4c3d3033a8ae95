'use server'

import { revalidatePath } from 'next/cache'
import { parse } from '@/contracts/problems'
import { settings } from '@/contracts/settings'
import { database } from '@/data/connection'
import { saveSettings } from '@/services/saveSettings'
import { isOwner, ownersOnly } from '../asker'
import { answerOf, type Refusal } from '../refusal'

/**
 * Saves what was changed of the shop's settings; new plans follow them.
 * @param seen the settings as they were when the changes began
 */
export async function keepSettings(seen: unknown, input: unknown): Promise<Refusal> {
  if (!(await isOwner())) return ownersOnly
  const [from, wanted] = [parse(settings, seen), parse(settings, input)]
  if (!wanted.ok) return { problems: wanted.problems }
  if (!from.ok) return { problems: from.problems }
  const answer = await answerOf(async () => saveSettings(await database(), from.value, wanted.value))
  revalidatePath('/', 'layout')
  return { problems: answer.problems }
}
