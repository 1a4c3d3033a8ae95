import { createTranslator } from 'use-intl/core'
import { expect, it } from 'vitest'
import { messagesOf } from './messagesOf'
import { withSpokenUnits } from './spokenUnits'
import type { Translator } from './translator'

const [plain, american] = (['en', 'en-US'] as const).map(
  (locale) => createTranslator({ locale, messages: messagesOf(locale) }) as Translator,
) as [Translator, Translator]

it.each([
  ['Spray 250 ml, wait 4 min.', 'Spray 250 millilitres, wait 4 minutes.', 'Spray 250 milliliters, wait 4 minutes.'],
  ['1 l at 20 °C', '1 litre at 20 degrees Celsius', '1 liter at 20 degrees Celsius'],
  ['1 gal 16.5 fl oz at 95 °F', '1 gallon 16.5 fluid ounces at 95 degrees Fahrenheit', '1 gallon 16.5 fluid ounces at 95 degrees Fahrenheit'],
  ['8 in 10 wheels, 2 in of tread', '8 in 10 wheels, 2 inches of tread', '8 in 10 wheels, 2 inches of tread'],
  ['1 min 30 s', '1 minute 30 seconds', '1 minute 30 seconds'],
  ['45 mph, 3 sides', '45 mph, 3 sides', '45 mph, 3 sides'],
])('%s', (text, spoken, inAmerica) => {
  expect(withSpokenUnits(text, plain)).toBe(spoken)
  expect(withSpokenUnits(text, american)).toBe(inAmerica)
}) // prettier-ignore
