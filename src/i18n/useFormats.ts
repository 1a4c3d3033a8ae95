import { useLocale } from 'next-intl'
import { formatsOf, type Formats } from './formats'

/** Writes numbers, money, quantities and days in the language and units of the page. */
export const useFormats = (): Formats => formatsOf(useLocale())
