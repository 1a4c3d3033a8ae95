import { expect, test } from 'vitest'
import { formatClock, formatDuration, formatDwell, formatMillilitres, formatMoney } from './format'

test.each([
  [45, '45 s'],
  [59.4, '59 s'],
  [59.6, '1 min'],
  [60, '1 min'],
  [3590, '1 h 0 min'],
  [2640, '44 min'],
  [4320, '1 h 12 min'],
])('%i seconds read %s', (seconds, text) => expect(formatDuration(seconds)).toBe(text))

test.each([
  [125, '2:05'],
  [0, '0:00'],
  [-38, '−0:38'],
])('a clock at %i reads %s', (seconds, text) => expect(formatClock(seconds)).toBe(text))

test.each([
  [310, 'EUR', '€3.10'],
  [310, 'JPY', '¥310'],
])('%i minor units of %s', (minor, currency, text) => expect(formatMoney(minor, currency)).toBe(text))

test.each([
  [12.5, '12.5 ml'],
  [220.4, '220 ml'],
  [1250, '1.25 l'],
])('%d ml', (millilitres, text) => expect(formatMillilitres(millilitres)).toBe(text))

test.each([
  [45, '45 s'],
  [89, '89 s'],
  [90, '90 s'],
  [200, '3.5 min'],
  [599, '10 min'],
  [600, '10 min'],
  [2550, '43 min'],
  [4000, '1 h 7 min'],
])('a dwell of %i seconds reads %s', (seconds, text) => expect(formatDwell(seconds)).toBe(text))
