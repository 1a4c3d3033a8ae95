import { expect, it } from 'vitest'
import { speaksOfChlorine } from './chlorine'

it.each([
  ['House tyre cleaner', 'Contains sodium hypochlorite.'],
  ['House tyre cleaner', 'With bleach for white walls'],
  ['Whitewall bleach', ''],
  ['House foam', 'chlorine based, 5 %'],
  ['House foam', 'Eau de Javel'],
  ['House foam', 'Chlorreiniger, never on brakes'],
])('%s, "%s" speaks of chlorine bleach', (name, note) => expect(speaksOfChlorine({ name, note })).toBe(true))

it.each([
  ['House acid', 'Never mix with bleach.'],
  ['House acid', 'Do not use together with chlorine or alkali'],
  ['House acid', 'Keep away from bleach; gas!'],
  ['House foam', 'Bleach-free, no chlorine'],
  ['House foam', 'free of hypochlorite'],
  ['House foam', 'Contains citric acid'],
  ['House foam', ''],
])('%s, "%s" has none in it', (name, note) => expect(speaksOfChlorine({ name, note })).toBe(false))
