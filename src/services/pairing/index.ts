/** What a route asks about devices, the network and the passphrase. */
export { knownDevice } from './knownDevice'
export {
  canOpenNetwork,
  networkAddress,
  networkAddresses,
  networkState,
  openNetwork,
  trustAddress,
} from './network'
export { beginPairing, pairDevice } from './pairDevice'
export { isAtDesk, setPassphrase, unlockDesk } from './passphrase'
export { spokenCode } from './secrets'
export { keepOpenToNetwork, readDesk } from '@/data/queries/desk'
export { listPairedDevices, revokePairedDevice } from '@/data/queries/pairedDevices'
export { openNetworkAsKept } from './openNetworkAsKept'
