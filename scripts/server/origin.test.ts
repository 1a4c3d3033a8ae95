import { describe, expect, it } from 'vitest'

const { isForwarding, originBehind } = (await import('./origin.mjs' as string)) as {
  isForwarding(name: string): boolean
  originBehind(proxies: string): (request: never) => { peer: string; isPassedOn: boolean }
}

const request = (remoteAddress: string, headers: Record<string, string> = {}) =>
  ({ socket: { remoteAddress }, headers, connection: { remoteAddress } }) as never

describe('where a request comes from', () => {
  it('is its socket, whatever its headers say', () => {
    const origin = originBehind('')
    expect(origin(request('::ffff:10.0.0.9'))).toEqual({ peer: '10.0.0.9', isPassedOn: false })
    for (const header of [
      'x-forwarded-for',
      'forwarded',
      'x-real-ip',
      'true-client-ip',
      'cf-connecting-ip',
      'via',
    ])
      expect(origin(request('10.0.0.9', { [header]: '127.0.0.1' })), header).toEqual({
        peer: '10.0.0.9',
        isPassedOn: true,
      })
  })

  it('is what a proxy says that was named at the start, and nothing further in front', () => {
    const origin = originBehind('10.0.0.2, 10.1.0.0/16')
    const forged = { 'x-forwarded-for': '127.0.0.1, 10.0.0.77' }
    expect(origin(request('10.0.0.2', forged)).peer).toBe('10.0.0.77')
    expect(origin(request('10.0.0.3', forged)).peer).toBe('10.0.0.3')
    // Two proxies in a row.
    expect(origin(request('10.0.0.2', { 'x-forwarded-for': '9.9.9.9, 10.0.0.77, 10.1.2.3' })).peer).toBe(
      '10.0.0.77',
    )
  })

  it('an address that cannot be read is said at the start', () => {
    expect(() => originBehind('the proxy')).toThrow(/invalid IP address/)
  })

  it.each(['x-forwarded-server', 'x-original-forwarded-for', 'x-client-ip', 'fly-client-ip'])(
    '%s forwards',
    (name) => expect(isForwarding(name)).toBe(true),
  )
  it.each(['host', 'cookie', 'content-type', 'next-action', 'x-nonce'])('%s does not', (name) =>
    expect(isForwarding(name)).toBe(false),
  )
})
