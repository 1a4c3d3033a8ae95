import { expect, it } from 'vitest'
import { actionRefusal } from './actionBody'

const sent = (body: string, type = 'text/plain;charset=UTF-8', action = true) =>
  actionRefusal(
    new Request('http://127.0.0.1/wheels', {
      method: 'POST',
      body,
      headers: { 'content-type': type, ...(action ? { 'next-action': 'a1' } : {}) },
    }),
  )

it('lets what a form sends through', async () => {
  expect(await sent('["a",{"b":1}]')).toBeNull()
  expect(await sent('[]')).toBeNull()
  expect(
    await sent(
      '--x\r\nContent-Disposition: form-data; name="0"\r\n\r\n[]\r\n--x--\r\n',
      'multipart/form-data; boundary=x',
    ),
  ).toBeNull()
})

it.each([
  ['no list', '"NaN"', 'text/plain', 400],
  ['no JSON', '{', 'text/plain', 400],
  ['nothing', '', 'text/plain', 400],
  ['half a form', '--x\r\nContent-', 'multipart/form-data; boundary=x', 400],
] as const)('%s is refused', async (_what, body, type, status) => {
  expect(await sent(body, type)).toMatchObject({ status })
})

it('a form of another site, which cannot name an action, is refused', async () => {
  expect(await sent('a=1', 'application/x-www-form-urlencoded', false)).toMatchObject({ status: 415 })
})

it.each([
  ['["$undefined",{"a":"$$5","b":["$D2026-06-10T09:00:00.000Z","$n12"]}]', null],
  ['["$041838a5-a5ed"]', 400],
  ['[{"kind":"$frontLeft"}]', 400],
  ['[{"deep":[{"er":"$1"}]}]', 400],
  ['[{"shop":{"name":"a"}},{"shop":"$0:0:shop"}]', null],
  ['[{"shop":{"name":"a"}},{"shop":"$0:0:nothing"}]', 400],
])('values that stand for others are there, or it is refused: %s', async (body, status) => {
  const refused = await sent(body)
  expect(refused?.status ?? null).toBe(status)
})
