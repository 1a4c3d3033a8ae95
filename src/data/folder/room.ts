import { message } from '@/core/message/message'
import { statfsSync } from 'node:fs'
import { DataFailure } from '../dataFailure'

const megabyte = 1024 * 1024
/** Less than this, and the program does not start. */
export const freeBytesAtStart = 32 * megabyte
/**
 * Less than this, and nothing is written any more. The engine needs some to put in order what it has: where it runs out of room in
 * the middle of that, it never comes back.
 */
export const freeBytesToWrite = 24 * megabyte

export const freeBytes = (folder: string): number => {
  const { bavail, bsize } = statfsSync(folder)
  return bavail * bsize
}

/** @throws DataFailure `diskFull` if less than `least` bytes are free */
export function requireRoom(folder: string, least: number): void {
  if (freeBytes(folder) >= least) return
  throw new DataFailure('diskFull', message('data.almostFull', { folder, megabytes: least / megabyte }))
}
