import { problemAnswer } from './problemAnswer'
import { shopSay } from '@/i18n/shopSay'
import { message, type Message } from '@/core/message/message'
import type { NextRequest } from 'next/server'
import { NextResponse } from 'next/server'
import { currentTime } from '@/clock'
import { database, isDataFailure } from '@/services/records'
import { callerHeaders, deskCookie, deviceCookie } from '@/access-control/caller'
import { isOwnName, namesIn } from '@/access-control/ownNames'
import {
  isOpenToAll,
  isOpenToWrite,
  isSimulatedDevice,
  mayOpen,
  mayWrite,
  type Caller,
  type DeviceRole,
} from '@/access-control/roles'
import { everyAnswer, isKeptFile } from '@/access-control/securityHeaders'
import { otherName, siteRefusal, type Refused } from '@/access-control/siteCheck'
import { feedOf } from '@/services/live'
import { isAtDesk, knownDevice } from '@/services/pairing'

/** A request that is let through, and who is calling; null: a device that is not paired, at a place that is open to all. */
export interface Admitted {
  readonly caller: Caller | null
}

/** Decides about a request before anything of its body is read: the answer that refuses it, or who is calling. */
export async function admit(request: NextRequest): Promise<Admitted | Response> {
  try {
    return await admitted(request)
  } catch (error) {
    if (isDataFailure(error)) return unavailable(request, error.said)
    throw error
  }
}

/** Whoever comes back after so long may find the data answering again, s. */
const retrySeconds = 3

/** The data does not answer: said in words to a person, as a problem to everything else. */
function unavailable(request: NextRequest, fix: Message): Response {
  if (!isPageRequest(request))
    return problemAnswer(503, [{ path: '', found: message('problems.data.silent'), fix }], retrySeconds)
  const say = shopSay()
  const escaped = (said: Message) => say(said).replaceAll('&', '&amp;').replaceAll('<', '&lt;')
  return new Response(
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta http-equiv="refresh" content="${retrySeconds}">` +
      `<title>Even Spoke</title></head><body><h1>${escaped(message('problems.data.moment'))}</h1><p>${escaped(fix)}</p></body></html>`,
    {
      status: 503,
      headers: { 'retry-after': String(retrySeconds), 'content-type': 'text/html; charset=utf-8' },
    },
  )
}

const isPageRequest = ({ method, headers, nextUrl }: NextRequest): boolean =>
  method === 'GET' && !nextUrl.pathname.startsWith('/api/') && !headers.has('rsc')

async function admitted(request: NextRequest): Promise<Admitted | Response> {
  const { headers, method, nextUrl } = request
  const host = headers.get('host')
  if (!isOwnName(host, namesIn(process.env.EVEN_SPOKE_NAMES))) return refusal(otherName(host))
  const path = nextUrl.pathname
  if (!isReadable(path) || !isReadable(nextUrl.search.replaceAll('+', ' ')))
    return refusal({
      status: 400,
      found: `${path}${nextUrl.search}`.slice(0, 60),
      fix: message('problems.door.badAddress'),
    })
  const refused = siteRefusal({ method, path, header: (name) => headers.get(name) })
  if (refused) return refusal(refused)
  if (isKeptFile(path)) return { caller: null }
  if (path.startsWith('/_'))
    return refusal({ status: 404, found: path.slice(0, 60), fix: message('problems.door.noPage') })
  const isDesk = isDeskDoor(headers.get(callerHeaders.door))
  const caller = isDesk ? await callerAtDesk(request) : await callerFromNetwork(request)
  const isOpen = isWrite(method)
    ? isOpenToWrite(path) || (isDesk && path === '/api/unlock')
    : isOpenToAll(path) || (isDesk && (path === '/unlock' || isSimulatedDevice(path)))
  if (!caller && !isOpen) return sentTo(request, path, isDesk ? '/unlock' : '/pair')
  // Which actions a caller may use, each says itself.
  if (caller && !isOpen && !mayDo(caller.role, method, path))
    return refusal({
      status: 403,
      found: path.slice(0, 60),
      fix: message('problems.access.ownersDevice'),
    })
  return { caller }
}

/** The desk's own door is marked by the server; in development there is no other. */
const isDeskDoor = (door: string | null): boolean =>
  door === 'desk' || (door === null && process.env.NODE_ENV === 'development')

export const isWrite = (method: string): boolean => method !== 'GET' && method !== 'HEAD'

const mayDo = (role: DeviceRole, method: string, path: string): boolean =>
  isWrite(method) ? mayWrite(role, path) : mayOpen(role, path)

/** Whether a part of an address can be read: no broken escapes, and nothing in it that no text has. */
function isReadable(part: string): boolean {
  try {
    return !/[\u0000-\u001f\u007f]/.test(decodeURIComponent(part))
  } catch {
    return false
  }
}

async function callerAtDesk(request: NextRequest): Promise<Caller | null> {
  const token = request.cookies.get(deskCookie)?.value
  return (await isAtDesk(await database(), token)) ? { role: 'owner', deviceId: null } : null
}

async function callerFromNetwork(request: NextRequest): Promise<Caller | null> {
  const token = request.cookies.get(deviceCookie)?.value
  if (!token) return null
  const device = await knownDevice(await database(), token, currentTime())
  return device && { role: device.role, deviceId: device.id }
}

/** The last change before the request: whatever comes after it may be missing in the answer. */
export const livePlace = async (): Promise<string | null> =>
  feedOf(await database()).then(
    (feed) => feed.place,
    () => null,
  )

export const refusal = ({
  status,
  found,
  fix,
}: Omit<Refused, 'status'> & { readonly status: number }): Response =>
  problemAnswer(status, [{ path: '', found, fix }])

/** Who may not in yet is sent to where that is done; data is not sent anywhere. */
function sentTo(request: NextRequest, path: string, place: '/pair' | '/unlock'): Response {
  // The framework makes the address relative again; under which name it was asked does not matter.
  if (isPageRequest(request)) return NextResponse.redirect(new URL(place, request.nextUrl), 307)
  return refusal({
    status: 401,
    found: message('problems.access.unknownDevice'),
    fix: place === '/pair' ? message('problems.access.pair') : message('problems.access.passphrase'),
  })
}

/** Adds the headers that every answer has. */
export function guarded(answer: Response, path: string, policy: string): Response {
  answer.headers.set('content-security-policy', policy)
  for (const [name, value] of Object.entries(everyAnswer)) answer.headers.set(name, value)
  if (!isKeptFile(path)) answer.headers.set('cache-control', 'no-store')
  return answer
}
