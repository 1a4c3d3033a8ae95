import type { Language } from './language'
import type { Messages as English } from '@/catalogue/messages'

/** Tells the library which messages there are, and which values each takes. */
declare module 'use-intl' {
  interface AppConfig {
    Messages: English
    Locale: Language
  }
}
