import { randomBytes } from 'node:crypto'
import { NextResponse, type NextRequest } from 'next/server'
import { isOwnName, namesIn } from '@/gate/ownNames'
import { contentSecurityPolicy, everyAnswer, isKeptFile } from '@/gate/securityHeaders'
import { otherName, siteRefusal, type Refused } from '@/gate/siteCheck'

/** Every request comes through here before anything else is done for it. */
export function proxy(request: NextRequest): Response {
  const { headers, method, nextUrl } = request
  const nonce = randomBytes(16).toString('base64')
  const policy = contentSecurityPolicy(nonce)
  const host = headers.get('host')
  const refused = isOwnName(host, namesIn(process.env.EVEN_SPOKE_NAMES))
    ? siteRefusal({ method, path: nextUrl.pathname, header: (name) => headers.get(name) })
    : otherName(host)
  return guarded(refused ? refusal(refused) : passedOn(request, nonce, policy), nextUrl.pathname, policy)
}

const refusal = ({ status, found, mend }: Refused): Response =>
  Response.json({ problems: [{ path: '', found, mend }] }, { status })

/** The framework reads the nonce for its own scripts from the policy among the request's headers. */
function passedOn(request: NextRequest, nonce: string, policy: string): Response {
  const headers = new Headers(request.headers)
  headers.set('content-security-policy', policy)
  headers.set('x-nonce', nonce)
  return NextResponse.next({ request: { headers } })
}

function guarded(answer: Response, path: string, policy: string): Response {
  answer.headers.set('content-security-policy', policy)
  for (const [name, value] of Object.entries(everyAnswer)) answer.headers.set(name, value)
  if (!isKeptFile(path)) answer.headers.set('cache-control', 'no-store')
  return answer
}
