import { randomUUID } from 'node:crypto'
import { close, closeSync, fsync, fsyncSync, open, openSync, renameSync, writeSync } from 'node:fs'
import { readdir } from 'node:fs/promises'
import { basename, dirname, join } from 'node:path'
import { promisify } from 'node:util'

const openAsync = promisify(open)
const fsyncAsync = promisify(fsync)
const closeAsync = promisify(close)

/** Windows opens no folders; there the file system keeps names by itself. */
const syncsFolders = process.platform !== 'win32'

/** Puts a file, or the names in a folder, on the disk. */
function syncPath(path: string): void {
  const descriptor = openSync(path, 'r')
  try {
    fsyncSync(descriptor)
  } finally {
    closeSync(descriptor)
  }
}

export const syncFolder = (path: string): void => {
  if (syncsFolders) syncPath(path)
}

async function syncPathLater(path: string): Promise<void> {
  const descriptor = await openAsync(path, 'r')
  try {
    await fsyncAsync(descriptor)
  } finally {
    await closeAsync(descriptor)
  }
}

/** Writes a small file so that after a power cut it is there whole or not at all. */
export function writeDurably(path: string, text: string): void {
  const fresh = join(dirname(path), `.${basename(path)}-${randomUUID()}`)
  const descriptor = openSync(fresh, 'w')
  try {
    writeSync(descriptor, text)
    fsyncSync(descriptor)
  } finally {
    closeSync(descriptor)
  }
  renameSync(fresh, path)
  syncFolder(dirname(path))
}

/** Renames and puts both names on the disk. */
export function renameDurably(from: string, to: string): void {
  renameSync(from, to)
  syncFolder(dirname(to))
  if (dirname(from) !== dirname(to)) syncFolder(dirname(from))
}

/** So many files are put on the disk at once; the system joins what it can. */
const atOnce = 8

/** Puts a folder and everything below it on the disk. */
export async function syncTree(folder: string): Promise<void> {
  const entries = await readdir(folder, { recursive: true, withFileTypes: true })
  const paths = entries
    .filter((entry) => entry.isFile() || (syncsFolders && entry.isDirectory()))
    .map((entry) => join(entry.parentPath, entry.name))
  if (syncsFolders) paths.push(folder)
  const next = paths.values()
  const work = async (): Promise<void> => {
    for (const path of next) await syncPathLater(path)
  }
  await Promise.all(Array.from({ length: atOnce }, work))
}
