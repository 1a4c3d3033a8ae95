import { expect, it } from 'vitest'
import { message } from '@/core/message/message'
import { languageOf } from '@/i18n/language'
import { writeCalendar } from './writeCalendar'

const now = new Date('2026-06-10T09:00:00Z')
const contents = (tag: string) => ({
  shopName: 'Bay three',
  language: languageOf(tag) ?? 'en',
  now,
  due: [
    {
      key: 'torque 1',
      kind: 'torqueCheck' as const,
      wheelSetId: null,
      vehicleId: null,
      vehicleName: 'Torvane Lark',
      setName: 'Summer set',
      what: message('due.items.torque.what', { known: 'true', newtonMetres: { newtonMetres: 120 } }),
      why: message('due.items.torque.why', { from: { kilometres: 50 }, until: { kilometres: 100 } }),
      at: new Date('2026-06-12T12:00:00Z'),
      band: null,
      sureness: 'sure' as const,
      remedy: { kind: 'place' as const, place: 'water' as const },
      canBeDone: true,
    },
  ],
  jobs: [],
})
/** Long lines of a calendar are folded. */
const unfolded = (text: string): string => text.replace(/\r?\n[ \t]/g, '')

it.each([
  ['en', '120 N·m', '50 km to 100 km'],
  ['en-GB', '120 N·m', '31 mi to 62 mi'],
  ['en-US', '89 lb-ft', '31 mi to 62 mi'],
])('a calendar of a shop in %s says %s and %s', (tag, torque, distance) => {
  const text = unfolded(writeCalendar(contents(tag)))
  expect(text).toContain(torque)
  expect(text).toContain(distance)
})
