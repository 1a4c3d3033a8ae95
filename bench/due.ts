// How long the due list takes with many wheel sets and three years of records: from nothing, and after a look at one of them. Prints
// JSON last.
import { randomUUID } from 'node:crypto'
import { openInMemory } from '@/data/openInMemory'
import { addLook } from '@/data/queries/looks'
import { listDue } from '@/services/due'
import { fillBigShop } from './bigShop'

const now = new Date('2026-07-15T09:00:00Z')
const changes = 7

async function timed(work: () => Promise<unknown>): Promise<number> {
  const began = performance.now()
  await work()
  return performance.now() - began
}

const median = (times: readonly number[]): number => [...times].sort((a, b) => a - b)[times.length >> 1] ?? 0

async function measured(sets: number) {
  const database = await openInMemory()
  await fillBigShop(database, sets, now)
  const fromNothing = await timed(() => listDue(database, now))
  const afterChange: number[] = []
  for (let change = 1; change <= changes; change += 1) {
    const [set] = await database.query<{ id: string }>(`select md5('s' || ${change * 17})::uuid as id`)
    await addLook(database, set?.id ?? '', {
      id: randomUUID(), positions: ['frontLeft', 'frontRight'], at: new Date(now.getTime() - change * 1000), beading: 2, release: null,
      slickness: null, glossUnits: null, afterReviving: true,
    }) // prettier-ignore
    afterChange.push(await timed(() => listDue(database, now)))
  }
  const items = (await listDue(database, now)).length
  await database.close()
  const change = median(afterChange)
  console.log(
    `${sets} sets, ${items} due: ${Math.round(fromNothing)} ms from nothing, ${Math.round(change)} ms after a look at one`,
  )
  return { fromNothing, change }
}

await measured(150)
const [some, many] = [await measured(500), await measured(2000)]
console.log(JSON.stringify({ some, many }))
