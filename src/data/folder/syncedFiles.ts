import { fsyncSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import { NodeFS } from '@electric-sql/pglite/nodefs'
import type { PGlite } from '@electric-sql/pglite'
import { CommitSync } from './commitSync'
import { syncFolder } from './durableFiles'
import { endOfLog, watermarkFile } from './watermark'

/** The parts of the engine's file system that are used here; it does not export their types. */
interface FileNode {
  readonly mode: number
}
interface FileStream {
  readonly node: FileNode
  readonly nfd: number
}
interface FileOperations {
  readonly NODEFS: {
    realPath(node: FileNode): string
    node_ops: {
      setattr(node: FileNode, attributes: { size?: number }): void
      mknod(parent: FileNode, name: string, mode: number, device: number): FileNode
      rename(node: FileNode, folder: FileNode, name: string): void
      unlink(parent: FileNode, name: string): void
      rmdir(parent: FileNode, name: string): void
    }
    stream_ops: {
      setattr(stream: FileStream, attributes: { size?: number }): void
      write(stream: FileStream, buffer: Uint8Array, offset: number, length: number, position: number): number
      fsync?(stream: FileStream): number
    }
  }
}

type EngineOptions = Parameters<NodeFS['init']>[1]

const isLog = (path: string): boolean => /[/\\]pg_wal[/\\][0-9A-F]{24}$/.test(path)

/** What the engine must do so that this layer can keep its promise; in place of its own parameter that turns syncing off. */
export const durableStartParameters = (defaults: readonly string[]): string[] => [
  ...defaults.filter((parameter) => parameter !== '-F'),
  ...['fsync=on', 'full_page_writes=on', 'synchronous_commit=on', 'wal_sync_method=fsync']
    .concat(['max_wal_size=64MB', 'min_wal_size=32MB'])
    .flatMap((setting) => ['-c', setting]),
]

/**
 * The engine's files on the disk of this machine. Its own file layer takes "put this on the disk" for done; here it is:
 * - Log files are put there by `commits`, which the answer to a write waits for.
 * - Before anything outside the log is changed, the log is on the disk; so a page never gets ahead of its log.
 * - Everything else (a checkpoint's data files, folders) is synced when the engine asks, names of new files with it.
 */
export class SyncedFiles extends NodeFS {
  readonly commits: CommitSync
  /** Bytes of log written since the start, or the last checkpoint where its maker sets it to 0. */
  logBytes = 0
  /** The log file that is being written. */
  currentLog: string | null = null
  readonly #withoutName = new Set<string>()
  readonly #watermark: ReturnType<typeof watermarkFile>
  #lastWrite: { path: string; end: number } | null = null

  /**
   * @param mayWrite asked before every change; false stops it
   */
  constructor(
    private readonly root: string,
    readonly mayWrite: () => boolean,
  ) {
    super(root)
    this.#watermark = watermarkFile(root)
    this.commits = new CommitSync(() => this.#watermark.syncing())
  }

  override async init(engine: PGlite, options: EngineOptions) {
    const ready = await super.init(engine, options)
    const preRun = (ready.emscriptenOpts.preRun ?? []) as ((mod: unknown) => void)[]
    return {
      emscriptenOpts: {
        ...ready.emscriptenOpts,
        preRun: [(mod: unknown) => this.#wrap(mod as FileOperations), ...preRun],
      } as EngineOptions,
    }
  }

  override async closeFs(): Promise<void> {
    await this.commits.settled()
    this.commits.close()
    this.#watermark.close()
    await super.closeFs()
  }

  #beforeChange(path: string): void {
    if (!this.mayWrite()) throw new Error(`${this.root} does not belong to this process any more`)
    if (!isLog(path)) this.commits.syncNow()
  }

  #wrap({ NODEFS: { realPath, node_ops: nodes, stream_ops: streams } }: FileOperations): void {
    const { setattr, mknod, rename, unlink, rmdir } = nodes
    nodes.setattr = (node, attributes) => {
      if (attributes.size !== undefined) this.#beforeChange(realPath(node))
      setattr(node, attributes)
    }
    nodes.mknod = (parent, name, mode, device) => {
      const node = mknod(parent, name, mode, device)
      this.#withoutName.add(realPath(node))
      return node
    }
    nodes.rename = (node, folder, name) => {
      const from = realPath(node)
      const to = join(realPath(folder), name)
      this.#beforeChange(to)
      this.commits.leaves(from)
      this.commits.leaves(to)
      rename(node, folder, name)
      if (this.#withoutName.delete(from)) this.#withoutName.add(to)
    }
    nodes.unlink = (parent, name) => {
      const path = join(realPath(parent), name)
      this.#beforeChange(path)
      this.commits.leaves(path)
      unlink(parent, name)
      this.#withoutName.delete(path)
    }
    nodes.rmdir = (parent, name) => {
      this.#beforeChange(join(realPath(parent), name))
      rmdir(parent, name)
    }
    this.#wrapStreams(realPath, streams)
  }

  #wrapStreams(realPath: (node: FileNode) => string, streams: FileOperations['NODEFS']['stream_ops']): void {
    const { setattr, write } = streams
    streams.setattr = (stream, attributes) => {
      if (attributes.size !== undefined) this.#beforeChange(realPath(stream.node))
      setattr(stream, attributes)
    }
    streams.write = (stream, buffer, offset, length, position) => {
      const path = realPath(stream.node)
      this.#beforeChange(path)
      const written = write(stream, buffer, offset, length, position)
      if (isLog(path)) {
        this.commits.wrote(path)
        this.logBytes += written
        this.currentLog = basename(path)
        this.#lastWrite = { path, end: endOfLog(buffer, offset, written, position) }
      }
      return written
    }
    streams.fsync = (stream) => {
      const path = realPath(stream.node)
      if (isLog(path)) {
        // Complete records only: what is written without this call may end in the middle of one.
        if (this.#lastWrite) this.#watermark.reached(this.#lastWrite.path, this.#lastWrite.end)
        return 0
      }
      fsyncSync(stream.nfd)
      if (this.#withoutName.delete(path)) syncFolder(dirname(path))
      return 0
    }
  }
}
