import { sayInEnglish } from '@/i18n/testEnglish'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { NextRequest } from 'next/server'
import { describe, expect, it, vi } from 'vitest'
import { callerHeaders } from '@/access-control/caller'
import type { Access } from '@/access-control/roles'
import type { ActionRefusal, Guarded } from './access'

let sent = new Headers()
vi.mock('next/headers', () => ({
  headers: () => Promise.resolve(sent),
  cookies: () => Promise.resolve(new Map()),
}))
vi.mock('next/cache', () => ({ revalidatePath: () => undefined }))
// The library speaks within a request only.
vi.mock('@/i18n/getSay', () => ({ getSay: () => Promise.resolve(sayInEnglish) }))

const as = (role: string | null, device: string | null = null): void => {
  sent = new Headers()
  if (role !== null) sent.set(callerHeaders.role, role)
  if (device !== null) sent.set(callerHeaders.device, device)
}

type Exports = Readonly<Record<string, unknown>>
type Handler = ((...sent: unknown[]) => Promise<unknown>) & Guarded

const root = join(process.cwd(), 'src', 'app')
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name)) // prettier-ignore
const isAction = (name: string) => readFileSync(join(root, name), 'utf8').startsWith("'use server'")
const importAll = (names: readonly string[]) =>
  Promise.all(
    names.map(
      async (name) => [name, (await import(/* @vite-ignore */ join(root, name))) as Exports] as const,
    ),
  )
const methods = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'HEAD', 'OPTIONS']

const actions = (await importAll(files.filter(isAction))).flatMap(([file, exported]) =>
  Object.entries(exported).map(([name, run]) => ({ name: `${file} ${name}`, run: run as Handler })),
)
const routes = (await importAll(files.filter((name) => /(^|\/)route\.ts$/.test(name)))).flatMap(
  ([file, exported]) =>
    Object.entries(exported)
      .filter(([name]) => methods.includes(name))
      .map(([name, run]) => ({ name: `${name} ${file.replace('/route.ts', '')}`, run: run as Handler })),
)
const named = (access: Access, all: typeof actions) =>
  all.filter(({ run }) => run.access === access).map(({ name }) => name)

describe('every action and route', () => {
  it('states whom it lets in', () => {
    expect(actions.length).toBeGreaterThan(30)
    expect(routes.length).toBeGreaterThan(20)
    expect([...actions, ...routes].filter(({ run }) => run.access === undefined)).toEqual([])
  })

  it('is for the owner, but for these', () => {
    expect(named('anyone', actions)).toEqual([])
    expect(named('bay', actions).sort()).toEqual([
      'devices/actions.ts askThermometer',
      'devices/actions.ts askWeather',
      'jobs/actions.ts discardPlan',
      'jobs/actions.ts endJob',
      'jobs/actions.ts keepChange',
      'jobs/actions.ts keepHour',
      'wheels/actions.ts planVisit',
      'wheels/protectionActions.ts takeLookBack',
    ])
    expect(named('desk', actions)).toEqual(['settings/backups/actions.ts keepFolder'])
    expect(named('anyone', routes).sort()).toEqual([
      'GET api/calendar/[secret]',
      'GET api/devices/tds',
      'GET api/devices/thermometer',
      'GET api/devices/weather',
      'GET api/health',
      'GET api/ready',
      'POST api/pair',
      'POST api/unlock',
    ])
    expect(named('bay', routes).sort()).toEqual([
      'GET api/clock',
      'GET api/jobs/[id]/events',
      'GET api/live',
      'GET api/photographs/[id]',
      'POST api/jobs/[id]/corrections',
      'POST api/jobs/[id]/events',
      'POST api/wheels/[id]/looks',
      'POST api/wheels/[id]/photographs',
    ])
  })

  it.each([
    ['no role', null],
    ['a role that is none', 'admin'],
    ['a role in other letters', 'OWNER'],
  ])('refuses a caller with %s, and does nothing', async (_, role) => {
    as(role)
    for (const { name, run } of actions) {
      const answer = (await run('0b1f6a52-8c1e-4c58-9f3a-0d7f5f4f2c11', {}, {})) as ActionRefusal
      expect(answer.problems[0]?.found, name).toBe('a device that is not paired')
    }
    for (const { name, run } of routes.filter((one) => one.run.access !== 'anyone')) {
      const request = new NextRequest('http://127.0.0.1/api/backup/look', {
        method: name.split(' ')[0],
        headers: { host: '127.0.0.1', 'content-type': 'application/json', [callerHeaders.door]: 'lan' },
      })
      expect(((await run(request, { params: Promise.resolve({}) })) as Response).status, name).toBe(401)
    }
  })

  it('of the owner refuses a device of the bay; what is about the machine refuses every device', async () => {
    as('bay', 'a phone')
    for (const { name, run } of actions.filter((one) => ['owner', 'desk'].includes(one.run.access)))
      expect(((await run({}, {}, {})) as ActionRefusal).ok, name).toBe(false)
    as('owner', 'a phone')
    for (const { name, run } of actions.filter((one) => one.run.access === 'desk'))
      expect(((await run({ folder: '' })) as ActionRefusal).problems[0]?.fix, name).toContain(
        'on the shop’s computer',
      )
  })

  it('parses what it is sent before anything is done with it', async () => {
    as('owner')
    for (const { name, run } of actions) {
      if (run.length === 0 && /renewCalendar|trySubscription|askTdsMeter|askWeather/.test(name)) continue
      const answer = (await run(Symbol.iterator, undefined, 7)) as ActionRefusal
      expect(answer.problems.length, name).toBeGreaterThan(0)
    }
  })
})
