import { closeSync, fdatasync, fdatasyncSync, openSync } from 'node:fs'
import { promisify } from 'node:util'

const fdatasyncAsync = promisify(fdatasync)

/**
 * Puts the write-ahead log on the disk, one sync for all commits that wait: while one runs, what comes next gathers for
 * the following one. The engine goes on meanwhile; only the answer waits.
 */
export class CommitSync {
  /** Counts writes; everything up to `#synced` is on the disk. */
  #written = 0
  #synced = 0
  readonly #changed = new Set<string>()
  readonly #inFlight = new Set<string>()
  /** Kept open: asking the system anew for every commit would double its cost. */
  readonly #descriptors = new Map<string, number>()
  #running: Promise<void> | null = null
  /** How often the disk was asked; for measuring. */
  syncs = 0
  /** Called once when the disk refuses: what it keeps of the log is unknown from then on, and asking again would lie. */
  onFailure: (error: unknown) => void = () => undefined
  #failure: { readonly error: unknown } | null = null

  /** @param beforeSync called as a sync begins; what it gives is called when everything written by then is on the disk */
  constructor(private readonly beforeSync: () => () => void = () => () => undefined) {}

  /** The log file was written to. */
  wrote(path: string): void {
    this.#changed.add(path)
    this.#written += 1
  }

  /** Call before the file gets another name, or none. */
  leaves(path: string): void {
    if (this.#changed.has(path) || this.#inFlight.has(path)) this.syncNow()
    // A sync that still runs has its descriptor; by this name the file cannot be opened any more.
    this.#inFlight.delete(path)
    const descriptor = this.#descriptors.get(path)
    this.#descriptors.delete(path)
    // A running sync still uses it; it is closed after that one.
    if (descriptor !== undefined) void Promise.resolve(this.#running).then(() => closeSync(descriptor))
  }

  close(): void {
    for (const path of [...this.#descriptors.keys()]) this.leaves(path)
  }

  #descriptor(path: string): number {
    const known = this.#descriptors.get(path)
    if (known !== undefined) return known
    const opened = openSync(path, 'r+')
    this.#descriptors.set(path, opened)
    return opened
  }

  get isClean(): boolean {
    return this.#synced === this.#written
  }

  /**
   * Blocks until the log is on the disk: the order that the engine relies on (log before data) holds only if nothing
   * else is changed before.
   */
  syncNow(): void {
    if (this.isClean) return
    if (this.#failure) throw this.#failure.error
    const afterSync = this.beforeSync()
    try {
      for (const path of new Set([...this.#changed, ...this.#inFlight])) fdatasyncSync(this.#descriptor(path))
    } catch (error) {
      throw this.#failed(error)
    }
    this.#changed.clear()
    this.syncs += 1
    this.#synced = this.#written
    afterSync()
  }

  /** Resolves when everything written before this call is on the disk. */
  async settled(): Promise<void> {
    const wanted = this.#written
    while (this.#synced < wanted) {
      if (this.#failure) throw this.#failure.error
      await (this.#running ??= this.#sync())
    }
  }

  #failed(error: unknown): unknown {
    if (!this.#failure) {
      this.#failure = { error }
      this.onFailure(error)
    }
    return error
  }

  async #sync(): Promise<void> {
    const upTo = this.#written
    const afterSync = this.beforeSync()
    for (const path of this.#changed) this.#inFlight.add(path)
    this.#changed.clear()
    try {
      const descriptors = [...this.#inFlight].map((path) => this.#descriptor(path))
      for (const descriptor of descriptors) await fdatasyncAsync(descriptor)
      this.syncs += 1
      this.#inFlight.clear()
      this.#synced = Math.max(this.#synced, upTo)
      afterSync()
    } catch (error) {
      throw this.#failed(error)
    } finally {
      this.#running = null
    }
  }
}
