// `npm run restore -- FILE`: says what a backup would replace; with `--yes` it puts it in place.
import { reasonOf } from '@/core/reasonOf'
import { accessSync, constants } from 'node:fs'
import { lookAtBackup, restoreBackup } from '@/services/backup/restoreBackup'
import { onDataHere, sayProblems } from './openHere'

const [file] = process.argv.slice(2).filter((argument) => argument !== '--yes')
if (!file) {
  process.stderr.write('Name the backup: npm run restore -- shop.zip\n')
  process.exit(64)
}
try {
  accessSync(file, constants.R_OK)
} catch (error) {
  process.stderr.write(`${file} cannot be read: ${reasonOf(error)}\n`)
  process.exit(66)
}
await onDataHere(async (database) => {
  const look = await lookAtBackup(database, file)
  if (!look.ok) return sayProblems(look.problems)
  process.stdout.write(`Made ${look.value.madeAt}, data version ${look.value.dataVersion}\n`)
  for (const { name, here, inBackup } of look.value.tables)
    if (here > 0 || inBackup) process.stdout.write(`${name}: ${here} rows here, ${inBackup ?? 0} in it\n`)
  if (!process.argv.includes('--yes')) {
    process.stdout.write('Nothing was changed. Add --yes to put it in place of all this.\n')
    return 0
  }
  const restored = await restoreBackup(database, file)
  if (!restored.ok) return sayProblems(restored.problems)
  process.stdout.write('It is in place.\n')
  return 0
})
