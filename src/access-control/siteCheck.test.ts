import { describe, expect, it } from 'vitest'
import { isOwnName, namesIn } from './ownNames'
import { siteRefusal } from './siteCheck'

const asked = (method: string, path: string, headers: Record<string, string> = {}) =>
  siteRefusal({
    method,
    path,
    header: (name) => ({ host: '127.0.0.1:4310', ...headers })[name] ?? null,
  })

describe('names', () => {
  it.each([
    'localhost',
    '127.0.0.1:4310',
    '[::1]:4310',
    'bench-desk.local',
    'BENCH-DESK.local:4311',
    '192.168.1.20',
  ])('answers %s', (host) => {
    expect(isOwnName(host, namesIn('bench-desk.local, 192.168.1.20'))).toBe(true)
  })
  it.each([
    null,
    '',
    'rebound.example',
    '127.0.0.1.rebound.example',
    '127.0.0.1:99999x',
    'localhost:4310@x',
    'a b',
    '[::1',
  ])('does not answer %s', (host) => {
    expect(isOwnName(host, [])).toBe(false)
  })
})

describe('where a request comes from', () => {
  const json = { 'content-type': 'application/json' }
  it('lets the program’s own pages, people and other programs on the desk through', () => {
    expect(asked('GET', '/')).toBeNull()
    expect(asked('GET', '/api/clock', { 'sec-fetch-site': 'same-origin' })).toBeNull()
    expect(asked('POST', '/api/plan', json)).toBeNull()
    expect(
      asked('POST', '/api/plan', {
        ...json,
        origin: 'http://127.0.0.1:4310',
        'sec-fetch-site': 'same-origin',
      }),
    ).toBeNull()
    expect(
      asked('POST', '/wheels/new', {
        'content-type': 'multipart/form-data; boundary=x',
        origin: 'http://127.0.0.1:4310',
      }),
    ).toBeNull()
  })
  it('lets a link of another site lead to a page, and nothing more', () => {
    const link = {
      'sec-fetch-site': 'cross-site',
      'sec-fetch-mode': 'navigate',
      'sec-fetch-dest': 'document',
    }
    expect(asked('GET', '/wheels', link)).toBeNull()
    expect(asked('GET', '/wheels', { ...link, 'sec-fetch-dest': 'iframe' })).toMatchObject({ status: 403 })
    expect(asked('GET', '/api/cabinet/json', link)).toMatchObject({ status: 403 })
    expect(
      asked('GET', '/api/clock', { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' }),
    ).toMatchObject({ status: 403 })
  })
  it.each([
    ['another site', { ...json, 'sec-fetch-site': 'cross-site' }, 403],
    ['another port of this machine', { ...json, 'sec-fetch-site': 'same-site' }, 403],
    ['another origin', { ...json, origin: 'http://127.0.0.1:9999' }, 403],
    ['no origin at all that a browser would send', { ...json, origin: 'null' }, 403],
    ['a form', { 'content-type': 'text/plain' }, 415],
    ['nothing', {}, 415],
  ])('refuses a write by %s', (_name, headers, status) => {
    expect(asked('POST', '/api/jobs/x/events', headers)).toMatchObject({ status })
  })
  it('knows no other methods', () => {
    expect(asked('TRACE', '/')).toMatchObject({ status: 405 })
  })
})
