import { exhaustive } from '@/core/exhaustive'

export const deviceRoles = ['owner', 'bay'] as const
/** `owner`: everything; `bay`: what is worked in the bay, and no prices, settings or backups. */
export type DeviceRole = (typeof deviceRoles)[number]

/** Who is calling: the desk or a paired device, and what it may do. */
export interface Caller {
  readonly role: DeviceRole
  /** Null: the desk itself. */
  readonly deviceId: string | null
}

/**
 * Who may use an action or a route. `anyone`: also a device that is not paired; `bay`: every paired device and the desk;
 * `owner`: the desk and devices of the owner; `desk`: this machine alone.
 */
export type Access = 'anyone' | 'bay' | 'owner' | 'desk'

/** Whether a caller has the access that is asked for. Nobody has any. */
export function mayUse(caller: Caller | null, access: Exclude<Access, 'anyone'>): boolean {
  if (caller === null) return false
  switch (access) {
    case 'bay':
      return true
    case 'owner':
      return caller.role === 'owner'
    case 'desk':
      return caller.role === 'owner' && caller.deviceId === null
    default:
      return exhaustive(access)
  }
}

/** Places a device of the bay may open; everything else is the owner's. */
const bayPlaces: readonly RegExp[] = [
  /^\/$/,
  /^\/jobs\/[^/]+(\/run|\/sheet)?$/,
  /^\/wheels$/,
  /^\/wheels\/[0-9a-f-]{36}(\/look|\/intake|\/protection|\/care|\/photographs(\/[0-9a-f-]{36})?)?$/,
  /^\/due$/,
  /^\/rules(\/glossary)?$/,
  /^\/more$/,
  /^\/api\/(clock|health|ready)$/,
  /^\/api\/jobs\/[^/]+\/events$/,
  /^\/api\/live$/,
  /^\/api\/photographs\/[0-9a-f-]{36}$/,
]

/** Pages of the bay that also write. */
const bayWrites: readonly RegExp[] = [
  /^\/jobs\/[^/]+(\/run)?$/,
  /^\/wheels\/[0-9a-f-]{36}\/(look|intake|protection)$/,
  /^\/api\/jobs\/[^/]+\/(events|corrections)$/,
  /^\/api\/wheels\/[0-9a-f-]{36}\/(looks|photographs)$/,
]

export const mayWrite = (role: DeviceRole, path: string): boolean =>
  role === 'owner' || bayWrites.some((place) => place.test(path))

export const mayOpen = (role: DeviceRole, path: string): boolean =>
  role === 'owner' || bayPlaces.some((place) => place.test(path))

/** Open to whoever reaches the program: what pairs a device, and what its pages are drawn with. */
const openPlaces: readonly RegExp[] = [
  /^\/pair$/,
  /^\/api\/pair$/,
  /^\/api\/(health|ready)$/,
  /^\/_next\/static\//,
  /^\/(icon\.svg|manifest\.webmanifest|favicon\.ico|sw\.js|icon-(192|512)\.png)$/,
  // Its address is its secret.
  /^\/api\/calendar\/[A-Za-z0-9_-]{20,}\.ics$/,
]

/** Stand-ins for devices: the program itself asks them, over the desk's door. */
export const isSimulatedDevice = (path: string): boolean =>
  /^\/api\/devices\/(weather|thermometer|tds)$/.test(path)

/** What a stranger may send: a code, nothing else. */
export const isOpenToWrite = (path: string): boolean => path === '/api/pair'

export const isOpenToAll = (path: string): boolean => openPlaces.some((place) => place.test(path))
