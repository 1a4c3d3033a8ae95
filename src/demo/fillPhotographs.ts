import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import type { Position } from '@/core/wheel/position'
import type { Database } from '@/data/database'
import { keepPhotograph } from '@/services/photographs/keepPhotograph'
import { wheelScene } from './wheelScene'

/** A set that is photographed at its last visit: what it looks like, before and after. */
interface Sitting {
  readonly wheelSetId: string
  readonly spokeCount: number
  readonly paint: string
  /** End of the visit. */
  readonly at: Date
}

/** What is photographed, and how long before the end, s. */
const shots: readonly {
  readonly positions: readonly Position[]
  readonly dust: number
  readonly before: number
}[] = [
  { positions: ['frontLeft'], dust: 1, before: 5400 },
  { positions: ['rearLeft'], dust: 0.7, before: 5340 },
  { positions: ['frontLeft'], dust: 0, before: 300 },
  { positions: ['rearLeft'], dust: 0, before: 240 },
]

/** Takes photographs before and after the visit. */
export async function fillPhotographs(database: Database, sitting: Sitting, now: Date): Promise<void> {
  const { wheelSetId, spokeCount, paint, at } = sitting
  for (const [number, { positions, dust, before }] of shots.entries()) {
    const jpeg = await sharp(Buffer.from(wheelScene({ spokeCount, paint, dust, number })))
      .jpeg()
      .toBuffer()
    const kept = await keepPhotograph(
      database,
      wheelSetId,
      {
        requestId: randomUUID(),
        jobId: null,
        positions: [...positions],
        secondsAgo: (now.getTime() - at.getTime()) / 1000 + before,
        jpeg: jpeg.toString('base64'),
      },
      now,
    )
    if (!kept.ok) throw new Error(`The demo photographs: ${kept.problems[0]?.fix}`)
  }
}
