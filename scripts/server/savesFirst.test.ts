import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

const { savesFirst } = (await import('./savesFirst.mjs' as string)) as {
  savesFirst(request: object, ended: Promise<unknown>): Promise<void>
}

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
})

const action = { method: 'POST', url: '/wheels/a/edit', headers: { 'next-action': 'x' } }
const tap = { method: 'POST', url: '/api/jobs/a/events', headers: {} }
const heavy = { method: 'POST', url: '/api/plan', headers: {} }
const page = { method: 'GET', url: '/due', headers: {} }
const file = { method: 'GET', url: '/_next/static/a.js', headers: {} }

/** A request that comes in; whether it has got its turn, and how it is answered. */
function come(request: object) {
  let answer = (): void => undefined
  const ended = new Promise<void>((resolve) => (answer = resolve))
  const own = { begun: false, answer: () => answer() }
  void savesFirst(request, ended).then(() => (own.begun = true))
  return own
}
const pass = (milliseconds = 0) => vi.advanceTimersByTimeAsync(milliseconds)

describe('who comes first', () => {
  it.each([
    ['an action', action],
    ['a tap', tap],
  ])('a page waits for %s, and a file and another save do not', async (_, save) => {
    const saving = come(save)
    const others = [come(file), come(action), come(heavy)]
    const reading = come(page)
    await pass()
    expect([saving, ...others, reading].map(({ begun }) => begun)).toEqual([true, true, true, true, false])
    for (const one of [saving, ...others]) one.answer()
    await pass()
    expect(reading.begun).toBe(true)
    reading.answer()
    await pass()
  })

  it('pages come one after the other, in order', async () => {
    const [first, second, third] = [come(page), come(page), come(page)]
    await pass()
    expect([first.begun, second.begun, third.begun]).toEqual([true, false, false])
    first.answer()
    await pass()
    expect([second.begun, third.begun]).toEqual([true, false])
    second.answer()
    third.answer()
    await pass()
    expect(third.begun).toBe(true)
  })

  it('what takes long holds nobody up, and what is heavy and no save not at all', async () => {
    const [planning, saving, slowPage] = [come(heavy), come(action), come(page)]
    const reading = come(page)
    await pass(150)
    expect(slowPage.begun).toBe(true)
    await pass(150)
    expect(reading.begun).toBe(true)
    for (const one of [planning, saving, slowPage, reading]) one.answer()
    await pass()
  })
})
