// Where a request comes from: the address of its socket. What a header says of that counts only from a proxy that was named at
// the start, because anybody can write headers.
import proxyAddress from 'proxy-addr'

/** Headers that only this server may set. */
const own = [
  'x-even-spoke-door',
  'x-even-spoke-peer',
  'x-even-spoke-role',
  'x-even-spoke-device',
  'x-even-spoke-live-place',
  'x-nonce',
]
export const isOwnHeader = (name) => own.includes(name)

const forwarding =
  /^(forwarded|via|x-forwarded(-[a-z-]+)?|x-(real|client|cluster-client|original|envoy-external|appengine-user|azure-client)-?(ip|address|for|host|proto|forwarded-for)|true-client-ip|(cf|fastly|fly|do|ali)-(connecting|client)-ip)$/
/** Whether a header says that, or for whom, a request was passed on. */
export const isForwarding = (name) => forwarding.test(name)

/** An IPv4 address is the same one when a socket of both kinds tells it. */
const plain = (address) => (address ?? '').replace(/^::ffff:(?=\d+\.\d+\.\d+\.\d+$)/i, '')

/**
 * @param proxies addresses or subnets of the proxies in front, comma-separated; empty: there is none
 * @returns what tells a request's peer, and whether another server passed it on
 * @throws TypeError for an address that cannot be read
 */
export function originBehind(proxies) {
  const trusted = proxies
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean)
  const trusts = trusted.length > 0 ? proxyAddress.compile(trusted) : () => false
  return (request) => {
    const socket = plain(request.socket.remoteAddress)
    const isPassedOn = Object.keys(request.headers).some(isForwarding)
    const peer = isPassedOn && trusts(socket, 0) ? plain(proxyAddress(request, trusts)) : socket
    return { peer, isPassedOn }
  }
}
