import { message, type Message } from '@/core/message/message'
import { nameOf } from './ownNames'

/** Why a request is not let through. */
export interface Refused {
  readonly status: 403 | 405 | 415 | 421
  readonly found: Message | string
  readonly fix: Message
}

interface Asked {
  readonly method: string
  readonly path: string
  readonly header: (name: string) => string | null
}

const reading = ['GET', 'HEAD']
const writing = ['POST', 'PUT', 'PATCH', 'DELETE']

/** What a browser says of who asks: the page itself, or the person by hand. */
const ownSites = [null, 'same-origin', 'none']

/** Whether an Origin header is that of the page's own host; a browser sends it with every write. */
function isOwnOrigin(origin: string | null, host: string | null): boolean {
  if (origin === null) return true
  try {
    const url = new URL(origin)
    // Behind a proxy the scheme differs, the host does not.
    return ['http:', 'https:'].includes(url.protocol) && url.host.toLowerCase() === host?.toLowerCase()
  } catch {
    return false
  }
}

const crossSite = (found: string): Refused => ({
  status: 403,
  found,
  fix: message('problems.door.otherSite'),
})

/**
 * Holds a request against where it comes from and what it brings: pages of other sites may lead here, nothing more; a route takes
 * JSON only, so that no form of another site can write.
 */
export function siteRefusal({ method, path, header }: Asked): Refused | null {
  const site = header('sec-fetch-site')
  if (reading.includes(method)) {
    const leadsHere = header('sec-fetch-mode') === 'navigate' && header('sec-fetch-dest') === 'document'
    return ownSites.includes(site) || (leadsHere && !path.startsWith('/api/')) ? null : crossSite(site ?? '')
  }
  if (!writing.includes(method))
    return { status: 405, found: method.slice(0, 20), fix: message('problems.door.method') }
  if (!ownSites.includes(site)) return crossSite(site ?? '')
  const origin = header('origin')
  if (!isOwnOrigin(origin, header('host'))) return crossSite(origin?.slice(0, 100) ?? '')
  const type = header('content-type')?.split(';')[0]?.trim().toLowerCase() ?? ''
  // No form of another site can send either of them.
  const wanted = path.startsWith('/api/backup/')
    ? ['application/json', 'application/zip']
    : ['application/json']
  if (path.startsWith('/api/') && !wanted.includes(type))
    return {
      status: 415,
      found: type.slice(0, 60),
      fix: message('problems.door.json'),
    }
  return null
}

/** The refusal of a request that asks for another name. */
export const otherName = (host: string | null): Refused => ({
  status: 421,
  found: nameOf(host)?.slice(0, 100) ?? message('problems.door.noName'),
  fix: message('problems.door.otherName'),
})
