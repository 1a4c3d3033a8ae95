import { beforeEach, afterEach, describe, expect, it, vi } from 'vitest'

const { pagesAtOnce, writePriority } = (await import('./writePriority.mjs' as string)) as {
  pagesAtOnce: number
  writePriority(request: object, ended: Promise<unknown>): Promise<void>
}

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
})

const action = { method: 'POST', url: '/wheels/a/edit', headers: { 'next-action': 'x' } }
const tap = { method: 'POST', url: '/api/jobs/a/events', headers: {} }
const page = { method: 'GET', url: '/due', headers: {} }
const file = { method: 'GET', url: '/_next/static/a.js', headers: {} }

/** A request that comes in; whether it has got its turn, and how it is answered. */
function come(request: object) {
  let answer = (): void => undefined
  const ended = new Promise<void>((resolve) => (answer = resolve))
  const own = { begun: false, answer: () => answer() }
  void writePriority(request, ended).then(() => (own.begun = true))
  return own
}
const pass = (milliseconds = 0) => vi.advanceTimersByTimeAsync(milliseconds)
const begunOf = (many: readonly { begun: boolean }[]) => many.filter(({ begun }) => begun).length
const several = (count: number) => Array.from({ length: count }, () => come(page))

describe('who comes first', () => {
  it('so many pages are drawn at once, the others come in order as those are answered', async () => {
    const pages = several(pagesAtOnce + 3)
    await pass()
    expect(pages.map(({ begun }) => begun)).toEqual(pages.map((_, at) => at < pagesAtOnce))
    pages[0]?.answer()
    await pass()
    expect(begunOf(pages)).toBe(pagesAtOnce + 1)
    expect(pages[pagesAtOnce]?.begun).toBe(true)
    for (const one of pages) one.answer()
    await pass()
    expect(begunOf(pages)).toBe(pages.length)
  })

  it.each([
    ['an action', action],
    ['a tap', tap],
    ['a file', file],
  ])('%s waits for no page, however many there are', async (_, request) => {
    const pages = several(pagesAtOnce * 4)
    const saving = come(request)
    await pass()
    expect(saving.begun).toBe(true)
    for (const one of [...pages, saving]) one.answer()
    await pass(1000)
  })

  it('saves hold no page up, however many there are', async () => {
    const saves = Array.from({ length: 50 }, () => come(tap))
    const reading = come(page)
    await pass()
    expect(reading.begun).toBe(true)
    for (const one of [...saves, reading]) one.answer()
    await pass()
  })

  it('a page that takes long holds nobody up', async () => {
    const slow = several(pagesAtOnce)
    const reading = come(page)
    await pass(149)
    expect(reading.begun).toBe(false)
    await pass(2)
    expect(reading.begun).toBe(true)
    for (const one of [...slow, reading]) one.answer()
    await pass(1000)
  })
})
