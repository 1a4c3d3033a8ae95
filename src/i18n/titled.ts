import type { Metadata } from 'next'
import { getTranslations } from 'next-intl/server'
import type { Messages } from '@/catalogue/messages'

/** Messages right below a place, and one level further down. */
type KeyIn<Place> = {
  [Key in keyof Place & string]: Place[Key] extends string ? Key : `${Key}.${keyof Place[Key] & string}`
}[keyof Place & string]
type Key = { [Place in keyof Messages]: `${Place}.${KeyIn<Messages[Place]>}` }[keyof Messages]

/** What names a page in the tab of the browser, by the key of its title. */
export const titled = (key: Key) => async (): Promise<Metadata> => {
  const t = await getTranslations()
  return { title: t(key as 'today.title') }
}
