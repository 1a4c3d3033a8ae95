import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { lookInput } from '@/contracts/protection'
import { photographInput } from '@/contracts/photograph'
import { parse } from '@/contracts/problems'
import { sendWaiting } from './sendWaiting'
import type { Waiting } from './waiting'

const id = '0b1f6a52-8c1e-4c58-9f3a-0d7f5f4f2c11'
const now = Date.parse('2026-06-01T10:00:00Z')
const made = { requestId: id, wheelSetId: id, madeAt: now - 3_600_000 }
const look: Waiting = {
  ...made,
  kind: 'look',
  look: { positions: ['frontLeft'], beading: 2, release: null, slickness: 1, glossUnits: 80, afterReviving: true },
} // prettier-ignore
const photograph = (size = 3): Waiting => ({
  ...made,
  kind: 'photograph',
  jobId: null,
  positions: ['rearLeft'],
  jpeg: new Blob([new Uint8Array(size).map((_, at) => at % 256)]),
})

let sent: { path: string; body: Record<string, unknown>; type: string | null }[] = []
/** Answers everything that is sent in one way. */
const answer = (make: () => Response | Promise<Response>) =>
  vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
    const body = JSON.parse(String(init.body)) as Record<string, unknown>
    sent.push({ path, body, type: new Headers(init.headers).get('content-type') })
    return make()
  })
beforeEach(() => {
  sent = []
  vi.useFakeTimers({ now, toFake: ['Date'] })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('what is sent', () => {
  it('is a look as the server takes it, with how long ago it was by the clock of this device', async () => {
    answer(() => Response.json({ kept: [] }))
    expect(await sendWaiting(look)).toEqual({ kind: 'stored', value: { kept: [] } })
    const [{ path, body, type }] = sent as [(typeof sent)[number]]
    expect([path, type]).toEqual([`/api/wheels/${id}/looks`, 'application/json'])
    expect(parse(lookInput, body)).toMatchObject({ ok: true, value: { secondsAgo: 3600, slickness: 1, afterReviving: true } }) // prettier-ignore
  })

  it('is a photograph byte by byte, whatever its size', async () => {
    answer(() => Response.json({ kept: null }))
    for (const size of [1, 8191, 8192, 8193, 100_000]) await sendWaiting(photograph(size))
    for (const [at, size] of [1, 8191, 8192, 8193, 100_000].entries()) {
      const { path, body } = sent[at]!
      expect(path).toBe(`/api/wheels/${id}/photographs`)
      expect(parse(photographInput, body)).toMatchObject({ ok: true, value: { positions: ['rearLeft'] } })
      const bytes = Buffer.from(String(body.jpeg), 'base64')
      expect(bytes.length).toBe(size)
      expect(bytes.every((byte, place) => byte === place % 256)).toBe(true)
    }
  })

  it('is a tap as it was made', async () => {
    answer(() => Response.json({ ok: true }))
    const tap = { kind: 'done' as const, stepId: 'a', at: '2026-06-01T09:00:00.000Z', person: 1 }
    await sendWaiting({ kind: 'tap', requestId: id, madeAt: now, jobId: id, tap })
    expect(sent[0]).toMatchObject({ path: `/api/jobs/${id}/events`, body: { ...tap, requestId: id } })
  })

  it('was never made in times to come, also where the clock was set back meanwhile', async () => {
    answer(() => Response.json({ kept: [] }))
    await sendWaiting({ ...look, madeAt: now + 7_200_000 })
    expect(sent[0]?.body.secondsAgo).toBe(0)
  })
})

describe('what became of it', () => {
  const refusal = (status: number) => () =>
    Response.json({ problems: [{ path: 'positions', found: 'x', fix: 'No such wheel.' }] }, { status })

  it.each([404, 409, 413, 422])('answered %d it is refused, in the server’s words', async (status) => {
    answer(refusal(status))
    expect(await sendWaiting(look)).toEqual({ kind: 'refused', fix: 'No such wheel.', isJobEnded: false })
  })

  it('refused by an answer it cannot read, it is refused without a reason', async () => {
    answer(() => new Response('<html>', { status: 400 }))
    expect(await sendWaiting(look)).toEqual({
      kind: 'refused',
      fix: '',
      isJobEnded: false,
    })
  })

  it.each([408, 425, 429, 500, 502, 503])('answered %d it is sent again', async (status) => {
    answer(refusal(status))
    expect(await sendWaiting(look)).toEqual({ kind: 'later' })
  })

  it('of a job that was ended it says so', async () => {
    answer(refusal(410))
    expect(await sendWaiting(look)).toMatchObject({ kind: 'refused', isJobEnded: true })
  })

  it('without any answer it is sent again', async () => {
    answer(() => Promise.reject(new TypeError('failed to fetch')))
    expect(await sendWaiting(look)).toEqual({ kind: 'later' })
  })

  it('of a device whose access was revoked it waits', async () => {
    answer(refusal(401))
    expect(await sendWaiting(photograph())).toMatchObject({ kind: 'revoked' })
  })
})
