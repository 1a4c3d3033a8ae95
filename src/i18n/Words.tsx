import { NextIntlClientProvider } from 'next-intl'
import { getMessages } from 'next-intl/server'
import type { ReactNode } from 'react'
import type { Messages } from '@/catalogue/messages'

/** What every page may show. */
const everywhere = [
  'common',
  'frame',
  'outbox',
  'errors',
  'terms',
] as const satisfies readonly (keyof Messages)[]

/**
 * Gives the components below that run in the browser their messages, and no others: a page carries what it shows.
 * @param of the files of `messages` that they read, beside those of every page
 */
export async function Words({ of, children }: { of: readonly (keyof Messages)[]; children: ReactNode }) {
  const messages = await getMessages()
  const own = new Set<string>([...everywhere, ...of])
  return (
    <NextIntlClientProvider
      messages={Object.fromEntries(Object.entries(messages).filter(([name]) => own.has(name)))}
    >
      {children}
    </NextIntlClientProvider>
  )
}
