import { english } from '@/catalogue/messages'
import { sayerOf } from './sayer'
import { spoken, type Spoken } from './spoken'

/** Says a message in English, for tests. */
export const sayInEnglish = sayerOf('en', english, new Date('2026-06-10T09:00:00'))

/** A value in which every message is English text, for tests. */
export const inEnglish = <T>(value: T): Spoken<T> => spoken(value, sayInEnglish)
