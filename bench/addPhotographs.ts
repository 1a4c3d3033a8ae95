// Adds photographs to a data folder: `tsx bench/addPhotographs.ts FOLDER COUNT`. Their pictures are noise, as large as real ones.
import { randomBytes, randomUUID } from 'node:crypto'
import { openDatabase } from '@/data/openDatabase'
import { addPhotograph } from '@/data/queries/photographs'

const [folder = '', count = '2400'] = process.argv.slice(2)
const wholeBytes = 140_000
const smallBytes = 14_000

const database = await openDatabase(folder)
const [set] = await database.query<{ id: string }>('select id from wheel_set order by id limit 1')
if (!set) throw new Error('There is no wheel set to photograph.')
for (let at = 0; at < Number(count); at += 100)
  await database.transaction(async (transaction) => {
    for (let one = at; one < Math.min(at + 100, Number(count)); one += 1)
      await addPhotograph(
        transaction,
        set.id,
        {
          id: randomUUID(),
          jobId: null,
          positions: [],
          takenAt: new Date(Date.now() - one * 60_000),
          widthPixels: 1280,
          heightPixels: 960,
        },
        { whole: randomBytes(wholeBytes), small: randomBytes(smallBytes) },
      )
  })
await database.close()
