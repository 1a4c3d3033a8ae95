// `npm run backup -- FILE`: everything that is stored as one zip.
import { rmSync } from 'node:fs'
import { currentTime } from '@/clock'
import { renameDurably } from '@/data/folder/durableFiles'
import { backUp } from '@/services/backup/backUp'
import { onDataHere } from './openHere'

const [file] = process.argv.slice(2)
if (!file) {
  process.stderr.write('Name the file to write: npm run backup -- shop.zip\n')
  process.exit(64)
}
await onDataHere(async (database) => {
  const part = `${file}.part`
  rmSync(part, { force: true })
  const bytes = await backUp(database, currentTime(), part)
  renameDurably(part, file)
  process.stdout.write(`${file}: ${bytes} bytes\n`)
  return 0
})
