import { currentTime } from '@/clock'
import { randomBytes } from 'node:crypto'
import { NextResponse, type NextRequest } from 'next/server'
import { database } from '@/data/connection'
import { askerHeaders, deskCookie, deviceCookie, type Asker } from '@/gate/asker'
import { isOwnName, namesIn } from '@/gate/ownNames'
import { actionRefusal } from '@/gate/actionBody'
import { isBayAction } from '@/gate/bayActions'
import { isOpenToAll, isOpenToWrite, mayOpen, mayWrite, type DeviceRole } from '@/gate/roles'
import { contentSecurityPolicy, everyAnswer, isKeptFile } from '@/gate/securityHeaders'
import { otherName, siteRefusal, type Refused } from '@/gate/siteCheck'
import { feedOf } from '@/services/live/feedOf'
import { knownDevice } from '@/services/pairing/knownDevice'
import { isAtDesk } from '@/services/pairing/passphrase'

/** Every request comes through here before anything else is done for it. */
export async function proxy(request: NextRequest): Promise<Response> {
  const nonce = randomBytes(16).toString('base64')
  const answer = await answerTo(request, nonce)
  return guarded(answer, request.nextUrl.pathname, contentSecurityPolicy(nonce))
}

async function answerTo(request: NextRequest, nonce: string): Promise<Response> {
  const { headers, method, nextUrl } = request
  const host = headers.get('host')
  if (!isOwnName(host, namesIn(process.env.EVEN_SPOKE_NAMES))) return refusal(otherName(host))
  const path = nextUrl.pathname
  if (!isReadable(path) || !isReadable(nextUrl.search.replaceAll('+', ' ')))
    return refusal({
      status: 400,
      found: `${path}${nextUrl.search}`.slice(0, 60),
      mend: 'Give an address that can be read.',
    })
  const refused = siteRefusal({ method, path, header: (name) => headers.get(name) })
  if (refused) return refusal(refused)
  if (isKeptFile(path)) return NextResponse.next()
  if (path.startsWith('/_'))
    return refusal({ status: 404, found: path.slice(0, 60), mend: 'Nothing stands here.' })
  const isDesk = headers.get(askerHeaders.door) !== 'lan'
  const asker = isDesk ? await askerAtDesk(request) : await askerFromNetwork(request)
  const isOpen = isWrite(method) ? isOpenToWrite(path) : isOpenToAll(path)
  if (!asker && !isOpen && !(isDesk && isUnlocking(path)))
    return sentTo(request, path, isDesk ? '/unlock' : '/pair')
  const action = headers.get('next-action')
  const mayAct = action === null || asker?.role === 'owner' || isBayAction(action)
  if (asker && (!mayAct || (!isOpenToAll(path) && !mayDo(asker.role, method, path))))
    return refusal({
      status: 403,
      found: path.slice(0, 60),
      mend: 'This is for the owner; use the desk, or a device that is the owner’s.',
    })
  const unread = isWrite(method) && !path.startsWith('/api/') ? await actionRefusal(request.clone()) : null
  return unread ? refusal(unread) : passedOn(request, nonce, asker, asker && (await livePlace()))
}

const isWrite = (method: string): boolean => method !== 'GET' && method !== 'HEAD'

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

const isUnlocking = (path: string): boolean => path === '/unlock' || path === '/api/unlock'

async function askerAtDesk(request: NextRequest): Promise<Asker | null> {
  const token = request.cookies.get(deskCookie)?.value
  return (await isAtDesk(await database(), token)) ? { role: 'owner' } : null
}

async function askerFromNetwork(request: NextRequest): Promise<Asker | null> {
  const token = request.cookies.get(deviceCookie)?.value
  if (!token) return null
  const device = await knownDevice(await database(), token, currentTime())
  return device && { role: device.role, deviceId: device.id }
}

/** The last change before the request: whatever comes after it may be missing in the answer. */
const livePlace = async (): Promise<string | null> =>
  feedOf(await database()).then(
    (feed) => feed.place,
    () => null,
  )

const refusal = ({ status, found, mend }: Omit<Refused, 'status'> & { readonly status: number }): Response =>
  Response.json({ problems: [{ path: '', found, mend }] }, { status })

/** Who may not in yet is sent to where that is done; data is not sent anywhere. */
function sentTo(request: NextRequest, path: string, place: '/pair' | '/unlock'): Response {
  const isPage = request.method === 'GET' && !path.startsWith('/api/') && !request.headers.has('rsc')
  // The framework makes the address relative again; under which name it was asked does not matter.
  if (isPage) return NextResponse.redirect(new URL(place, request.nextUrl), 307)
  return refusal({
    status: 401,
    found: 'no device that is known here',
    mend: place === '/pair' ? 'Pair this device at the desk.' : 'Give the passphrase of the desk.',
  })
}

/** The framework reads the nonce for its own scripts from the policy among the request's headers. */
function passedOn(request: NextRequest, nonce: string, asker: Asker | null, place: string | null): Response {
  const headers = new Headers(request.headers)
  headers.set('content-security-policy', contentSecurityPolicy(nonce))
  headers.delete(askerHeaders.role)
  headers.delete(askerHeaders.device)
  headers.delete(askerHeaders.livePlace)
  if (asker) headers.set(askerHeaders.role, asker.role)
  if (place) headers.set(askerHeaders.livePlace, place)
  if (asker?.deviceId) headers.set(askerHeaders.device, asker.deviceId)
  return NextResponse.next({ request: { headers } })
}

function guarded(answer: Response, path: string, policy: string): Response {
  answer.headers.set('content-security-policy', policy)
  for (const [name, value] of Object.entries(everyAnswer)) answer.headers.set(name, value)
  if (!isKeptFile(path)) answer.headers.set('cache-control', 'no-store')
  return answer
}
