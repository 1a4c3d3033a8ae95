import fs, { type PathLike } from 'node:fs'
import { syncBuiltinESMExports } from 'node:module'
import { basename, dirname, relative, sep } from 'node:path'
import type { DiskEvent, Inode, Recording } from './disk'

interface Live extends Inode {
  readonly entries: Map<string, Live>
}

/** Every way to change files that the program and its engine use; a way that is not here is not seen. */
type Call = (...parameters: never[]) => unknown

/**
 * Records from now on what this process changes below a folder, and when it asks the disk to keep it. Modules that use
 * files must be loaded after this call.
 */
export function recordDisk(root: string): Recording & { mark(text: string): void; stop(): void } {
  let ids = 0
  const make = (isFolder: boolean): Live => ({ id: (ids += 1), isFolder, entries: new Map() })
  const top = make(true)
  const events: DiskEvent[] = []
  const opened = new Map<number, Live>()
  const originals: [string, Call][] = []

  const inside = (path: PathLike): boolean => String(path) === root || String(path).startsWith(root + sep)
  const find = (path: PathLike): Live | undefined =>
    relative(root, String(path))
      .split(sep)
      .filter(Boolean)
      .reduce<Live | undefined>((at, name) => at?.entries.get(name), top)
  const link = (path: PathLike, inode: Live): void => {
    const folder = find(dirname(String(path)))
    if (!folder) return
    folder.entries.set(basename(String(path)), inode)
    events.push({ kind: 'link', folder, name: basename(String(path)), inode })
  }
  const unlink = (path: PathLike): void => {
    const folder = find(dirname(String(path)))
    if (!folder?.entries.delete(basename(String(path)))) return
    events.push({ kind: 'unlink', folder, name: basename(String(path)) })
  }
  const write = (inode: Live, bytes: Uint8Array, position: number): void => {
    if (bytes.length > 0) events.push({ kind: 'write', inode, position, bytes: bytes.slice() })
  }
  const whole = (path: PathLike, content: string | Uint8Array): void => {
    if (!inside(path)) return
    let inode = find(path)
    if (!inode) link(path, (inode = make(false)))
    events.push({ kind: 'truncate', inode, size: 0 })
    write(inode, typeof content === 'string' ? Buffer.from(content) : content, 0)
  }
  const folders = (path: PathLike): void => {
    if (!inside(path) || find(path)) return
    folders(dirname(String(path)))
    link(path, make(true))
  }
  const noteOpen = (path: PathLike, flags: unknown, descriptor: number): void => {
    if (!inside(path)) return
    const creates =
      typeof flags === 'string' ? /[wa]/.test(flags) : (Number(flags ?? 0) & fs.constants.O_CREAT) !== 0
    const empties =
      typeof flags === 'string' ? flags.startsWith('w') : (Number(flags ?? 0) & fs.constants.O_TRUNC) !== 0
    let inode = find(path)
    if (!inode && creates) link(path, (inode = make(false)))
    else if (inode && empties) events.push({ kind: 'truncate', inode, size: 0 })
    if (inode) opened.set(descriptor, inode)
  }
  const noteSync = (inode: Live | undefined, upTo: number): void => {
    if (inode) events.push({ kind: 'sync', inode, upTo })
  }

  const files = fs as unknown as Record<string, Call>
  /** Puts a wrapper around a function of `fs` that first does the real thing. */
  const wrap = (name: string, around: (original: Call) => Call): void => {
    const original = files[name]
    if (!original) throw new Error(`There is no fs.${name}`)
    originals.push([name, original])
    files[name] = Object.assign(around(original), original)
  }
  const after = (name: string, note: (parameters: readonly unknown[], result: unknown) => void): void =>
    wrap(name, (original) => (...parameters: unknown[]) => {
      const result = (original as (...all: unknown[]) => unknown)(...parameters)
      note(parameters, result)
      return result
    })
  const afterCallback = (
    name: string,
    note: (parameters: readonly unknown[], upTo: number, result: unknown) => void,
  ): void =>
    wrap(name, (original) => (...parameters: unknown[]) => {
      const upTo = events.length
      const callback = parameters.pop() as (error: unknown, result?: unknown) => void
      ;(original as (...all: unknown[]) => unknown)(...parameters, (error: unknown, result: unknown) => {
        if (!error) note(parameters, upTo, result)
        callback(error, result)
      })
    })

  after('openSync', ([path, flags], descriptor) => noteOpen(path as string, flags, descriptor as number))
  afterCallback('open', ([path, flags], _, descriptor) =>
    noteOpen(path as string, flags, descriptor as number),
  )
  // Before the real call: once it is closed the number may belong to another file.
  for (const name of ['closeSync', 'close'])
    wrap(name, (original) => (...parameters: unknown[]) => {
      opened.delete(parameters[0] as number)
      return (original as (...all: unknown[]) => unknown)(...parameters)
    })
  after('writeSync', ([descriptor, data, second, , position], written) => {
    const inode = opened.get(descriptor as number)
    if (!inode) return
    if (typeof data === 'string') write(inode, Buffer.from(data), Number(second ?? 0))
    else {
      const bytes = data as Uint8Array
      const offset = Number(second ?? 0)
      write(inode, bytes.subarray(offset, offset + Number(written)), Number(position ?? 0))
    }
  })
  after('writeFileSync', ([path, content]) => whole(path as string, content as string))
  after('ftruncateSync', ([descriptor, size]) => {
    const inode = opened.get(descriptor as number)
    if (inode) events.push({ kind: 'truncate', inode, size: Number(size ?? 0) })
  })
  after('truncateSync', ([path, size]) => {
    const inode = inside(path as string) ? find(path as string) : undefined
    if (inode) events.push({ kind: 'truncate', inode, size: Number(size ?? 0) })
  })
  after('renameSync', ([from, to]) => {
    const inode = find(from as string)
    if (!inode || !inside(to as string)) return
    // On the disk one step: whoever looks after a cut finds the old name or the new one.
    link(to as string, inode)
    unlink(from as string)
  })
  for (const name of ['unlinkSync', 'rmdirSync', 'rmSync']) after(name, ([path]) => unlink(path as string))
  after('mkdirSync', ([path]) => folders(path as string))
  for (const name of ['fsyncSync', 'fdatasyncSync'])
    after(name, ([descriptor]) => noteSync(opened.get(descriptor as number), events.length))
  for (const name of ['fsync', 'fdatasync'])
    afterCallback(name, ([descriptor], upTo) => noteSync(opened.get(descriptor as number), upTo))

  const { copyFile, mkdir } = fs.promises
  fs.promises.copyFile = async (from, to, mode) => {
    await copyFile(from, to, mode)
    whole(to as string, fs.readFileSync(to as string))
  }
  fs.promises.mkdir = (async (path: string, options: object) => {
    const made = await mkdir(path, options)
    folders(path)
    return made
  }) as typeof mkdir
  syncBuiltinESMExports()

  return {
    root: top,
    events,
    mark: (text) => events.push({ kind: 'mark', text }),
    stop: () => {
      for (const [name, original] of originals) files[name] = original
      fs.promises.copyFile = copyFile
      fs.promises.mkdir = mkdir
      syncBuiltinESMExports()
    },
  }
}
