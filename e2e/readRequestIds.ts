import { openDatabase } from '../src/data/openDatabase'

const folder = process.argv[2] ?? ''
const database = await openDatabase(folder)
const rows = await database.query<{ request_id: string }>('select request_id from run_event')
process.stdout.write(rows.map(({ request_id }) => request_id).join('\n'))
await database.close()
