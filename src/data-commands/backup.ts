// `npm run backup -- FILE`: everything that is stored as one zip.
import { message } from '@/core/message/message'
import { print, printError } from '@/i18n/terminal'
import { rmSync } from 'node:fs'
import { currentTime } from '@/clock'
import { renameDurably } from '@/data/folder/durableFiles'
import { backUp } from '@/services/backup/backUp'
import { onDataHere } from './openHere'

const [file] = process.argv.slice(2)
if (!file) {
  printError(message('commands.backup.usage'))
  process.exit(64)
}
await onDataHere(async (database) => {
  const part = `${file}.part`
  rmSync(part, { force: true })
  const bytes = await backUp(database, currentTime(), part)
  renameDurably(part, file)
  print(message('commands.backup.written', { file, bytes }))
  return 0
})
