import { EventEmitter, once } from 'node:events'
import { createServer, request } from 'node:http'
import type { AddressInfo } from 'node:net'
import { setImmediate } from 'node:timers/promises'
import { describe, expect, it, vi } from 'vitest'

const { mayGoOn } = (await import('./limits.mjs' as string)) as {
  mayGoOn(
    request: object,
    response: object,
    door: 'desk' | 'lan',
    peer: string,
    ended: Promise<unknown>,
  ): Promise<boolean>
}

class Answer extends EventEmitter {
  status = 0
  writeHead(status: number): void {
    this.status = status
  }
  write(): void {
    // Nobody reads it here.
  }
  end(): void {
    this.emit('close')
  }
}

/** A request of which everything has come already. */
class Sent extends EventEmitter {
  constructor(
    readonly headers: object,
    readonly url: string,
    readonly method = 'GET',
  ) {
    super()
  }
  complete = false
  destroyed = false
  destroy(): void {
    this.destroyed = true
  }
  read(): void {
    this.emit('end')
  }
}

/** Sends a body without saying how long it is until the other end has enough; gives the answer's status. */
const pour = (port: number, bytes: number) =>
  new Promise<number>((resolve, reject) => {
    const sending = request({ host: '127.0.0.1', port, method: 'POST' })
    let status = 0
    sending.on('response', (answer) => {
      status = answer.statusCode ?? 0
      answer.resume()
    })
    // Cut off in the middle of the body, once it is answered.
    sending.on('error', (error) => (status > 0 ? resolve(status) : reject(error)))
    sending.on('close', () => resolve(status))
    const piece = Buffer.alloc(1 << 16)
    let sent = 0
    const more = (): void => {
      while (sent < bytes && !sending.destroyed) {
        sent += piece.length
        if (!sending.write(piece)) return void sending.once('drain', more)
      }
      sending.end()
    }
    more()
  })

const ask = async (peer: string, headers: object = {}, url = '/api/clock') => {
  const answer = new Answer()
  return { answer, goesOn: await mayGoOn(new Sent(headers, url), answer, 'lan', peer, once(answer, 'close')) }
}

describe('what one device may ask for', () => {
  it('is so much at once, though it all comes in one moment, and again when some is answered', async () => {
    const burst = await Promise.all(Array.from({ length: 100 }, () => ask('a')))
    expect(burst.filter(({ goesOn }) => goesOn)).toHaveLength(64)
    expect(burst.at(-1)!.answer.status).toBe(429)
    expect((await ask('b')).goesOn).toBe(true)
    burst[0]!.answer.end()
    await setImmediate()
    expect((await ask('a')).goesOn).toBe(true)
    expect((await ask('a')).goesOn).toBe(false)
  })

  it('says how much it sends', async () => {
    const chunked = { 'transfer-encoding': 'chunked' }
    for (const url of ['/api/plan', '/wheels', '/api/backup/restore'])
      expect((await ask('d', chunked, url)).answer.status, url).toBe(411)
  })

  it('is refused at once where it does not say how much it sends, and little of it is read', async () => {
    let bytesRead = 0
    const server = createServer((asked, answer) => {
      const read = asked.read.bind(asked)
      vi.spyOn(asked, 'read').mockImplementation((size) => {
        const piece = read(size) as Buffer | null
        bytesRead += piece?.length ?? 0
        return piece
      })
      void mayGoOn(asked, answer, 'lan', 'pours', once(answer, 'close'))
    })
    await once(server.listen(0, '127.0.0.1'), 'listening')
    const closed = once(server, 'close')
    expect(await pour((server.address() as AddressInfo).port, 100_000_000)).toBe(411)
    server.close()
    await closed
    expect(bytesRead).toBeGreaterThan(0)
    expect(bytesRead).toBeLessThan(20_000_000)
  })

  it('is so large, but for backups', async () => {
    const large = { 'content-length': '6000000' }
    expect((await ask('c', large)).answer.status).toBe(413)
    expect((await ask('c', large, '/api/backup/restore?x=1')).goesOn).toBe(true)
  })

  it('is given up when its body does not arrive, and not when it does', async () => {
    vi.useFakeTimers()
    try {
      const send = async (peer: string) => {
        const answer = new Answer()
        const sent = new Sent({ 'content-length': '100' }, '/wheels', 'POST')
        await mayGoOn(sent, answer, 'lan', peer, once(answer, 'close'))
        return { answer, sent }
      }
      const [slow, quick] = [await send('e'), await send('f')]
      quick.sent.emit('end')
      await vi.advanceTimersByTimeAsync(29_000)
      expect([slow.answer.status, slow.sent.destroyed]).toEqual([0, false])
      await vi.advanceTimersByTimeAsync(2000)
      expect([slow.answer.status, slow.sent.destroyed]).toEqual([408, true])
      expect([quick.answer.status, quick.sent.destroyed]).toEqual([0, false])
    } finally {
      vi.useRealTimers()
    }
  })

  it.each(['TRACE', 'TRACK', 'PROPFIND'])('does not come as %s', async (method) => {
    const answer = new Answer()
    const goesOn = await mayGoOn(new Sent({}, '/', method), answer, 'lan', 'g', once(answer, 'close'))
    expect([goesOn, answer.status]).toEqual([false, 405])
  })
})
