import type { useTranslations } from 'next-intl'

/** Says a message of any place, by its key. */
export type Translator = ReturnType<typeof useTranslations<never>>
