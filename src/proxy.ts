import { randomBytes } from 'node:crypto'
import { NextResponse, type NextRequest } from 'next/server'
import { admit, guarded, isWrite, livePlace, refusal } from '@/app/gateway'
import { actionRefusal } from '@/access-control/actionBody'
import { callerHeaders } from '@/access-control/caller'
import type { Caller } from '@/access-control/roles'
import { contentSecurityPolicy, isKeptFile } from '@/access-control/securityHeaders'

/** Every request comes through here before anything else is done for it; see `config` for the two that do it themselves. */
export async function proxy(request: NextRequest): Promise<Response> {
  const nonce = randomBytes(16).toString('base64')
  const answer = await answerTo(request, nonce)
  return guarded(answer, request.nextUrl.pathname, contentSecurityPolicy(nonce))
}

export const config = {
  // What comes through here is held in memory on its way. Backups are too large for that: their routes call admit() themselves.
  matcher: '/((?!api/backup/(?:look|restore)$).*)',
}

async function answerTo(request: NextRequest, nonce: string): Promise<Response> {
  const admitted = await admit(request)
  if (admitted instanceof Response) return admitted
  const { method, nextUrl } = request
  if (isKeptFile(nextUrl.pathname)) return NextResponse.next()
  const isAction = isWrite(method) && !nextUrl.pathname.startsWith('/api/')
  const unread = isAction ? await actionRefusal(request.clone()) : null
  if (unread) return refusal(unread)
  return passedOn(request, nonce, admitted.caller, admitted.caller && (await livePlace()))
}

/** The framework reads the nonce for its own scripts from the policy among the request's headers. */
function passedOn(
  request: NextRequest,
  nonce: string,
  caller: Caller | null,
  place: string | null,
): Response {
  const headers = new Headers(request.headers)
  headers.set('content-security-policy', contentSecurityPolicy(nonce))
  headers.delete(callerHeaders.role)
  headers.delete(callerHeaders.device)
  headers.delete(callerHeaders.livePlace)
  if (caller) headers.set(callerHeaders.role, caller.role)
  if (place) headers.set(callerHeaders.livePlace, place)
  if (caller?.deviceId) headers.set(callerHeaders.device, caller.deviceId)
  return NextResponse.next({ request: { headers } })
}
