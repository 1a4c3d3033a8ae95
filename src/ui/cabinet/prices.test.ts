import { expect, it } from 'vitest'
import { inputOf, valuesOfFamily } from './productValues'

it.each([
  ['24.99', 'USD', 2499],
  ['$24.99', 'USD', 2499],
  ['USD 24.99', 'USD', 2499],
  ['24,99 €', 'EUR', 2499],
  ['£7', 'GBP', 700],
  ['1,299.50', 'USD', 129_950],
  // Another currency, and what could be two numbers, are not guessed.
  ['$24.99', 'EUR', '$24.99'],
  ['1,299', 'USD', '1,299'],
  ['', 'EUR', ''],
])('%j in %s is %j', (packPrice, currency, packPriceMinor) =>
  expect(inputOf({ ...valuesOfFamily('wheelShampoo'), packPrice }, currency)).toMatchObject({
    packPriceMinor,
  }),
)
