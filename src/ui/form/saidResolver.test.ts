import { expect, it } from 'vitest'
import * as v from 'valibot'
import { list, numberFrom, shortText } from '@/contracts/fields'
import { sayInEnglish } from '@/i18n/testEnglish'
import { problemsIn, saidResolver } from './saidResolver'

const schema = v.object({
  name: shortText('vehicleName'),
  wheels: list(v.object({ width: numberFrom(1, 9, 'in') }), 2, 'wheels'),
})
const check = (values: unknown) =>
  saidResolver(schema as never, sayInEnglish)(values as never, undefined, {
    fields: {},
    shouldUseNativeValidation: false,
  })

it('says what is wrong at each field, and leaves the places of the others empty', async () => {
  const { errors } = await check({ name: ' ', wheels: [{ width: 5 }, { width: 99 }] })
  expect(errors).toMatchObject({
    name: { message: 'Enter the vehicle name.' },
    wheels: [undefined, { width: { message: 'Enter a number from 1 to 9 in.' } }],
  })
})

it('asks for a number where there is none, in our own words', async () => {
  const { errors } = await check({ name: 'A', wheels: [{ width: NaN }] })
  expect(errors).toMatchObject({ wheels: [{ width: { message: 'Enter a number.' } }] })
})

it('passes on what is right', async () => {
  const right = { name: 'A', wheels: [{ width: 5 }] }
  expect(await check(right)).toEqual({ values: right, errors: {} })
})

it('leaves everything to the program where the page has no words for a part of it', async () => {
  const canSay = ({ key }: { readonly key: string }) => key !== 'fields.range'
  const resolver = saidResolver(
    v.object({ name: shortText('vehicleName'), wheels: v.array(v.object({ spokes: numberFrom(1, 9) })) }),
    sayInEnglish,
    undefined,
    canSay,
  )
  const options = { fields: {}, shouldUseNativeValidation: false }
  expect(await resolver({ wheels: [{ spokes: 99 }], name: '' }, undefined, options)).toMatchObject({
    errors: {},
  })
  const { errors } = await resolver({ wheels: [{ spokes: 9 }], name: '' }, undefined, options)
  expect(problemsIn(errors)).toEqual([{ path: 'name', found: '', fix: 'Enter the vehicle name.' }])
})

it('gives the path of each problem as the program names it', async () => {
  const { errors } = await check({ name: ' ', wheels: [{ width: 5 }, { width: 99 }] })
  expect(problemsIn(errors).map(({ path }) => path)).toEqual(['name', 'wheels[1].width'])
})
