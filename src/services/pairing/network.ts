/** How the shop's network reaches the program; null: it does not. */
export interface NetworkState {
  readonly port: number
  readonly trustPort: number
  /** Names and addresses, the one a person types first. */
  readonly names: readonly string[]
  /** SHA-256 of the authority's certificate. */
  readonly print: string
}

interface Network {
  state(): NetworkState | null
  change(open: boolean): Promise<void>
}

/** The server that runs the program offers it; a plain one, as for development, does not. */
const shared = globalThis as typeof globalThis & { evenSpokeNetwork?: Network }

export const networkState = (): NetworkState | null => shared.evenSpokeNetwork?.state() ?? null

export const canOpenNetwork = (): boolean => shared.evenSpokeNetwork !== undefined

/** Opens the program to the shop's network, or shuts it. */
export async function openNetwork(open: boolean): Promise<void> {
  await shared.evenSpokeNetwork?.change(open)
}

const inAddress = (name: string): string => (name.includes(':') ? `[${name}]` : name)

/** Every address that reaches the program now, the one a person types first; none where the network is shut. */
export function networkAddresses(): string[] {
  const state = networkState()
  return state ? state.names.map((name) => `https://${inAddress(name)}:${state.port}`) : []
}

/** The address a phone opens; null where the network is shut. */
export const networkAddress = (): string | null => networkAddresses()[0] ?? null

export function trustAddress(): string | null {
  const state = networkState()
  const name = state?.names[0]
  return state && name ? `http://${inAddress(name)}:${state.trustPort}/` : null
}
