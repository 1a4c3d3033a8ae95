import { getLocale } from 'next-intl/server'
import { formatsOf, type Formats } from './formats'

/** Writes numbers, money, quantities and days, for pages and routes that wait for their data. */
export const getFormats = async (): Promise<Formats> => formatsOf(await getLocale())
