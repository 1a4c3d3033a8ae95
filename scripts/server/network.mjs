import { hostname, networkInterfaces } from 'node:os'

/** Addresses of this machine on its networks, IPv4 first: those are what a person can type. */
export function ownAddresses() {
  const all = Object.values(networkInterfaces())
    .flatMap((entries) => entries ?? [])
    .filter(({ internal, address }) => !internal && !address.startsWith('fe80:'))
  return [
    ...all.filter(({ family }) => family === 'IPv4'),
    ...all.filter(({ family }) => family !== 'IPv4'),
  ].map(({ address }) => address)
}

/** Names under which the shop's network finds this machine. */
export function ownHostNames() {
  const name = hostname()
    .toLowerCase()
    .replace(/\.local$/, '')
  return /^[a-z0-9.-]+$/.test(name) ? [`${name}.local`, name] : []
}
