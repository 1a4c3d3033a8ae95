import { closeSync, openSync, readFileSync, writeSync } from 'node:fs'
import { basename, join } from 'node:path'

/** 16 MB, the engine's default; a file's name says where in the log it begins. */
const segmentBytes = 16n * 1024n * 1024n

const watermarkPath = (databaseFolder: string): string => join(databaseFolder, 'log-reached')

/** End of the last record in what was written: the rest of a log page is zeros. Bytes from the start of the file. */
export function endOfLog(buffer: Uint8Array, offset: number, length: number, position: number): number {
  for (let at = length - 1; at >= 0; at -= 1) if (buffer[offset + at] !== 0) return position + at + 1
  return position
}

/** Place in the whole log of a byte in one of its files (24 digits: timeline, upper and lower part of the number). */
function placeInLog(path: string, end: number): bigint {
  const name = basename(path)
  const number = BigInt(`0x${name.slice(8, 16)}`) * 256n + BigInt(`0x${name.slice(16)}`)
  return number * segmentBytes + BigInt(end)
}

/** `0/1A2B3C` as the engine writes a place in its log. */
export function readPlace(text: string): bigint | null {
  const parts = /^([0-9A-F]+)\/([0-9A-F]+)$/.exec(text.trim())
  return parts ? (BigInt(`0x${parts[1]}`) << 32n) + BigInt(`0x${parts[2]}`) : null
}

const writePlace = (place: bigint): string =>
  `${(place >> 32n).toString(16).toUpperCase()}/${(place & 0xffffffffn).toString(16).toUpperCase()}`

/**
 * Remembers how far the log was on the disk. It is written after the sync and not synced itself: after a kill it is
 * exact, after a power cut it may be older, never newer than the truth. A log that ends before it has lost something.
 */
export function watermarkFile(databaseFolder: string) {
  let descriptor: number | null = null
  let reached = 0n
  let kept = 0n
  return {
    reached: (path: string, end: number): void => {
      const place = placeInLog(path, end)
      if (place > reached) reached = place
    },
    /** Call as a sync begins, and what it gives once that has ended. */
    syncing: (): (() => void) => {
      const place = reached
      return () => {
        if (place <= kept) return
        descriptor ??= openSync(watermarkPath(databaseFolder), 'w')
        writeSync(descriptor, `${writePlace(place).padStart(20)}\n`, 0)
        kept = place
      }
    },
    close: (): void => {
      if (descriptor !== null) closeSync(descriptor)
      descriptor = null
    },
  }
}

/** Place and value of the engine's state in its control file: 1 is shut down in order (PostgreSQL's pg_control.h). */
const stateOffset = 16
const shutDown = 1

/** Whether the engine was stopped in order, so that the log ends with its last word and not with what was replayed. */
export function wasShutDown(databaseFolder: string): boolean {
  try {
    return readFileSync(join(databaseFolder, 'global', 'pg_control')).readInt32LE(stateOffset) === shutDown
  } catch {
    return false
  }
}

/** How far the log once was on the disk; null where nobody knows. */
export function readWatermark(databaseFolder: string): bigint | null {
  try {
    return readPlace(readFileSync(watermarkPath(databaseFolder), 'utf8'))
  } catch {
    return null
  }
}
