import { expect, test } from 'vitest'
import { formatClock, formatDuration, formatDwell } from './format'

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
  [45, '45 s'],
  [89, '89 s'],
  [90, '90 s'],
  [200, '3.5 min'],
  [599, '10 min'],
  [600, '10 min'],
  [2550, '43 min'],
  [4000, '1 h 7 min'],
])('a dwell of %i seconds reads %s', (seconds, text) => expect(formatDwell(seconds)).toBe(text))
