// What the shop's certificate authority may vouch for (RFC 5280, section 4.2.1.10): the names of its machine and addresses of private
// networks. A stolen key opens no other site to a phone that trusts it.
import { isIP } from 'node:net'
import * as x509 from '@peculiar/x509'

const oid = '2.5.29.30'

/** Addresses that are only ever of a network like the shop's, with the number of bits that count. */
const privateNetworks = [
  ['10.0.0.0', 8],
  ['172.16.0.0', 12],
  ['192.168.0.0', 16],
  ['169.254.0.0', 16],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['fc00::', 7],
  ['fe80::', 10],
  ['::1', 128],
]

/** An address as bytes, 4 or 16 of them. */
function bytesOf(address) {
  if (isIP(address) === 4) return address.split('.').map(Number)
  const [head, tail = ''] = address.split('%')[0].split('::')
  const groups = (text) => (text === '' ? [] : text.split(':'))
  const [before, after] = [groups(head), groups(tail)]
  const middle = address.includes('::') ? Array(8 - before.length - after.length).fill('0') : []
  return [...before, ...middle, ...after].flatMap((group) => {
    const value = Number.parseInt(group, 16)
    return [value >> 8, value & 0xff]
  })
}

const maskOf = (bits, length) =>
  Array.from({ length }, (_, at) => (0xff << (8 - Math.min(8, Math.max(0, bits - 8 * at)))) & 0xff)

const isWithin = (address, [network, bits]) => {
  const [one, other] = [bytesOf(address), bytesOf(network)]
  const mask = maskOf(bits, one.length)
  return one.length === other.length && one.every((byte, at) => (byte & mask[at]) === (other[at] & mask[at]))
}

/** A value in DER: its tag, its length, its bytes. */
function der(tag, ...parts) {
  const body = Buffer.concat(parts.map((part) => Buffer.from(part)))
  const length =
    body.length < 128
      ? [body.length]
      : body.length < 256
        ? [0x81, body.length]
        : [0x82, body.length >> 8, body.length & 0xff]
  return Buffer.concat([Buffer.from([tag, ...length]), body])
}
const [sequence, permitted, dnsName, ipAddress] = [0x30, 0xa0, 0x82, 0x87]

/** The names and networks that cover some names and addresses. */
export function permittedFor(names) {
  const hosts = names.filter((name) => !isIP(name))
  const others = names.filter((name) => isIP(name) && !privateNetworks.some((one) => isWithin(name, one)))
  return {
    hosts: [...new Set(['localhost', ...hosts])].sort(),
    networks: [...privateNetworks, ...others.map((address) => [address, isIP(address) === 4 ? 32 : 128])],
  }
}

/** Whether everything of the second is allowed by the first. */
export const covers = (permittedNow, names) =>
  names.every((name) =>
    isIP(name)
      ? permittedNow.networks.some((network) => isWithin(name, network))
      : permittedNow.hosts.includes(name),
  )

/** The extension for a certificate authority. Not every phone knows it, so it is not marked critical. */
export function nameConstraints({ hosts, networks }) {
  const trees = [
    ...hosts.map((host) => der(sequence, der(dnsName, Buffer.from(host, 'latin1')))),
    ...networks.map(([network, bits]) => {
      const address = bytesOf(network)
      return der(sequence, der(ipAddress, [...address, ...maskOf(bits, address.length)]))
    }),
  ]
  return new x509.Extension(oid, false, der(sequence, der(permitted, ...trees)))
}
