// `npm run restore -- FILE`: says what a backup would replace; with `--yes` it puts it in place.
import { message } from '@/core/message/message'
import { reasonOf } from '@/core/reasonOf'
import { accessSync, constants } from 'node:fs'
import { lookAtBackup, restoreBackup } from '@/services/backup/restoreBackup'
import { onDataHere } from './openHere'
import { print, printError } from '@/i18n/terminal'
import { printProblems } from './printProblems'

const [file] = process.argv.slice(2).filter((argument) => argument !== '--yes')
if (!file) {
  printError(message('commands.restore.usage'))
  process.exit(64)
}
try {
  accessSync(file, constants.R_OK)
} catch (error) {
  printError(message('commands.restore.unreadable', { file, reason: reasonOf(error) }))
  process.exit(66)
}
await onDataHere(async (database) => {
  const look = await lookAtBackup(database, file)
  if (!look.ok) return printProblems(look.problems)
  print(message('commands.restore.made', { at: look.value.madeAt, version: look.value.dataVersion }))
  for (const { name, here, inBackup } of look.value.tables)
    if (here > 0 || inBackup)
      print(message('commands.restore.rows', { table: name, here, inBackup: inBackup ?? 0 }))
  if (!process.argv.includes('--yes')) {
    print(message('commands.restore.addYes'))
    return 0
  }
  const restored = await restoreBackup(database, file)
  if (!restored.ok) return printProblems(restored.problems)
  print(message('commands.restore.done'))
  return 0
})
