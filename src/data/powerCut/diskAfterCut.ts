import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { DiskChange, Inode, Recording } from './disk'

/** A cut may keep half of a write, in pieces of this size. */
const pieceBytes = 4096

interface Kept {
  content: Uint8Array
  size: number
  readonly entries: Map<string, Inode>
  /** Not asked to be kept yet, with the number of the event. */
  pending: { readonly at: number; readonly change: DiskChange }[]
}

/** A repeatable sequence of numbers from 0 to 1 (mulberry32). */
export function chances(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), state | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
}

function put(kept: Kept, position: number, bytes: Uint8Array): void {
  const end = position + bytes.length
  if (end > kept.content.length) {
    const larger = new Uint8Array(Math.max(end, kept.content.length * 2))
    larger.set(kept.content.subarray(0, kept.size))
    kept.content = larger
  }
  kept.content.set(bytes, position)
  kept.size = Math.max(kept.size, end)
}

function apply(kept: Kept, change: DiskChange): void {
  switch (change.kind) {
    case 'link':
      kept.entries.set(change.name, change.inode)
      return
    case 'unlink':
      kept.entries.delete(change.name)
      return
    case 'write':
      put(kept, change.position, change.bytes)
      return
    case 'truncate':
      if (change.size < kept.size) kept.content.fill(0, change.size, kept.size)
      else put(kept, change.size, new Uint8Array())
      kept.size = change.size
  }
}

/** Of what nobody asked to be kept, some is there and some is not: any piece of any write, names in their order. */
function loseSome(kept: Kept, isFolder: boolean, random: () => number): void {
  if (isFolder) {
    for (const { change } of kept.pending.slice(0, Math.floor(random() * (kept.pending.length + 1))))
      apply(kept, change)
    return
  }
  const share = [0, 0.5, 1][Math.floor(random() * 3)] ?? 0
  for (const { change } of kept.pending) {
    if (change.kind !== 'write') {
      if (random() < share) apply(kept, change)
      continue
    }
    for (let from = 0; from < change.bytes.length; from += pieceBytes)
      if (random() < share) put(kept, change.position + from, change.bytes.subarray(from, from + pieceBytes))
  }
}

function writeOut(folder: Inode, path: string, keptOf: (inode: Inode) => Kept): void {
  mkdirSync(path, { recursive: true })
  for (const [name, inode] of keptOf(folder).entries) {
    const below = join(path, name)
    if (inode.isFolder) writeOut(inode, below, keptOf)
    else writeFileSync(below, keptOf(inode).content.subarray(0, keptOf(inode).size))
  }
}

/**
 * Writes into `path` what a disk can hold after the power went away before event number `cut`.
 * @returns the marks before the cut
 */
export function writeDiskAfterCut(
  { root, events }: Recording,
  cut: number,
  seed: number,
  path: string,
): string[] {
  const random = chances(seed)
  const all = new Map<number, { readonly inode: Inode; readonly kept: Kept }>()
  const keptOf = (inode: Inode): Kept => {
    let known = all.get(inode.id)
    if (!known) {
      known = { inode, kept: { content: new Uint8Array(), size: 0, entries: new Map(), pending: [] } }
      all.set(inode.id, known)
    }
    return known.kept
  }
  const marks: string[] = []
  events.slice(0, cut).forEach((event, at) => {
    if (event.kind === 'mark') marks.push(event.text)
    else if (event.kind === 'sync') {
      const kept = keptOf(event.inode)
      for (const { at: moment, change } of kept.pending) if (moment < event.upTo) apply(kept, change)
      kept.pending = kept.pending.filter(({ at: moment }) => moment >= event.upTo)
    } else {
      keptOf('folder' in event ? event.folder : event.inode).pending.push({ at, change: event })
    }
  })
  for (const { inode, kept } of all.values()) loseSome(kept, inode.isFolder, random)
  writeOut(root, path, keptOf)
  return marks
}
