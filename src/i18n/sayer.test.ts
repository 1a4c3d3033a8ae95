import { describe, expect, it } from 'vitest'
import { message } from '@/core/message/message'
import { english } from '@/catalogue/messages'
import { pseudoMessage } from './pseudo'
import { sayerOf } from './sayer'

const now = new Date('2026-06-10T09:00:00')
const say = sayerOf('en', english, now)

describe('a message of the core', () => {
  it('is said with its names, numbers and choices', () => {
    expect(say(message('due.items.topUp.what', { product: 'Seal', where: 'front' }))).toBe(
      'Top up Seal, front',
    )
    expect(
      say(message('due.items.torque.what', { known: 'true', newtonMetres: { newtonMetres: 1200 } })),
    ).toBe('Re-torque wheel nuts, 1,200 N·m')
  })

  it('is said with messages, lists and quantities inside it', () => {
    const used = [
      message('due.used.part', { where: 'front', share: { share: 0.384 } }),
      message('due.used.all', { where: 'rear' }),
    ]
    expect(say(message('due.used.checked', { used, checks: 1 }))).toBe(
      'Estimated: 38 % used on the front and used up on the rear. Based on one check.',
    )
    const range = {
      from: { day: new Date('2026-06-12T12:00') },
      until: { day: new Date('2027-01-03T12:00') },
    }
    expect(say(message('due.calendar.range', range))).toBe('Likely range (8 in 10): 12 Jun to 3 Jan 2027.')
  })

  it.each([
    [{ seconds: 95 * 60 }, '1 h 35 min'],
    [{ millilitres: 1250 }, '1.25 l'],
    [{ celsius: 18.4 }, '18 °C'],
    [{ minor: 1250, currency: 'EUR' }, '€12.50'],
  ])('says %j as a person would', (quantity, text) => {
    expect(say(message('due.items.reminder.what', { about: quantity }))).toBe(text)
  })

  it('of an earlier version is a sentence already', () => {
    expect(say('Rinse within a minute.')).toBe('Rinse within a minute.')
  })
})

describe('the language of the tests', () => {
  it.each([
    ['Save', '⟦Sávé~~⟧'],
    ['{count, plural, one {# wheel} other {# wheels}}', '⟦{count,plural,one{# whéél~~} other{# whééls~~}}⟧'],
    ['Top up <b>{product}</b>', '⟦Tóp~ úp <b>{product}</b>⟧'],
  ])('marks and lengthens %s, and leaves what it is told', (text, marked) => {
    expect(pseudoMessage(text)).toBe(marked)
  })
})
