import { currentTime } from '@/clock'
import { useState } from 'react'
import type { Position } from '@/core/wheel/position'
import { enter } from '../outbox/deviceOutbox'
import type { Outcome } from '../outbox/waiting'
import { shrink } from './shrink'

/** Of what photographs are taken. */
export interface PhotographOf {
  readonly wheelSetId: string
  /** In which job; absent: outside one. */
  readonly jobId?: string | null
  /** Of which wheels; empty: of the whole set. */
  readonly positions: readonly Position[]
}

/** What became of the last photograph; null: none was taken yet. Said by `photos.taken`. */
export type Taken = Outcome['kind'] | 'taking' | 'unreadable' | null

async function take({ wheelSetId, jobId = null, positions }: PhotographOf, file: File): Promise<Taken> {
  const jpeg = await shrink(file)
  if (!jpeg) return 'unreadable'
  // One that was taken before it is chosen is of then.
  const madeAt = Math.min(currentTime().getTime(), file.lastModified || currentTime().getTime())
  return (await enter({ kind: 'photograph', wheelSetId, jobId, positions, jpeg }, madeAt)).kind
}

/** Takes photographs, one after the other. Without any network they wait on the device. */
export function usePhotograph(of: PhotographOf): {
  readonly taken: Taken
  readonly takeAll: (files: readonly File[]) => void
} {
  const [taken, setTaken] = useState<Taken>(null)
  const takeAll = async (files: readonly File[]): Promise<void> => {
    if (files.length === 0) return
    setTaken('taking')
    const all: Taken[] = []
    for (const file of files) all.push(await take(of, file))
    // What went wrong matters more than what went well.
    setTaken(all.find((one) => one !== 'stored') ?? 'stored')
  }
  return { taken, takeAll: (files) => void takeAll(files) }
}
