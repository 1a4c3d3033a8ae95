// `npm run backup -- FILE`: everything that is stored as one zip.
import { currentTime } from '@/clock'
import { renameSync, writeFileSync } from 'node:fs'
import { backUp } from '@/services/backup/backUp'
import { onDataHere } from './openHere'

const [file] = process.argv.slice(2)
if (!file) {
  process.stderr.write('Name the file to write: npm run backup -- shop.zip\n')
  process.exit(64)
}
await onDataHere(async (database) => {
  const zip = await backUp(database, currentTime())
  writeFileSync(`${file}.part`, zip, { mode: 0o600 })
  renameSync(`${file}.part`, file)
  process.stdout.write(`${file}: ${zip.byteLength} bytes\n`)
  return 0
})
