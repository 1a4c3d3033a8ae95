'use server'

import { revalidatePath } from 'next/cache'
import { settings } from '@/contracts/settings'
import { database } from '@/services/records'
import { saveSettings } from '@/services/settings'
import { action } from '../access'
import { answerOf, type Refusal } from '../refusal'

/** Saves what was changed of the shop's settings since they were seen; new plans follow them. */
export const keepSettings = action('owner', [settings, settings], async (seen, wanted): Promise<Refusal> => {
  const { problems } = await answerOf(async () => saveSettings(await database(), seen, wanted))
  revalidatePath('/', 'layout')
  return { problems }
})
