// `npm run move -- --to URL` copies everything that is stored here to a PostgreSQL server, `--from URL` from there to here. `--dry-run`
// says what would happen and changes nothing. Data at the other end is replaced only with `--yes`. Counts are compared at the end.
import { message, sentences, type Said } from '@/core/message/message'
import { print, printError } from '@/i18n/terminal'
import { parseArgs } from 'node:util'
import { reasonOf } from '@/core/reasonOf'
import { dump } from '@/data/backup/dump'
import { restore, sourceOf } from '@/data/backup/restore'
import { countedRows } from '@/data/backup/wholeness'
import type { Database } from '@/data/database'
import { readMigrations } from '@/data/migrate'
import { lookAtServer, openServer } from '@/data/server'
import { onFolderHere } from './openHere'

interface Direction {
  readonly goesTo: boolean
  readonly url: string
  readonly isDryRun: boolean
  readonly mayReplace: boolean
}

function refuseUsage(said: Said): never {
  printError(said)
  process.exit(64)
}

function readDirection(): Direction {
  try {
    const { values } = parseArgs({
      options: {
        to: { type: 'string' },
        from: { type: 'string' },
        'dry-run': { type: 'boolean', default: false },
        yes: { type: 'boolean', default: false },
      },
    })
    const url = values.to ?? values.from
    if (!url || (values.to && values.from)) return refuseUsage(message('commands.move.usage'))
    return {
      goesTo: values.to !== undefined,
      url,
      isDryRun: values['dry-run'],
      mayReplace: values.yes,
    }
  } catch (error) {
    return refuseUsage(reasonOf(error))
  }
}

const sum = (counts: ReadonlyMap<string, number>): number =>
  [...counts.values()].reduce((all, one) => all + one, 0)

/** Rows somebody entered or worked; the settings that every new database has do not count. */
const entered = (counts: ReadonlyMap<string, number>): number => sum(counts) - (counts.get('setting') ?? 0)

/** Copies all rows; the other end keeps its own devices. */
async function copy(from: Database, to: Database): Promise<number> {
  await dump(from, (reader) => restore(to, readMigrations(), sourceOf(reader)))
  const counts = await countedRows(from)
  const arrived = await countedRows(to)
  for (const [name, rows] of arrived) {
    if (rows === (counts.get(name) ?? 0)) continue
    printError(message('commands.move.lost', { table: name, rows, all: counts.get(name) ?? 0 }))
    return 70
  }
  print(message('commands.move.done', { rows: sum(arrived), tables: counts.size }))
  return 0
}

const { goesTo, url, isDryRun, mayReplace } = readDirection()

await onFolderHere(async (here) => {
  const onServer = await lookAtServer(url)
  const inFolder = await countedRows(here)
  const [source, target] = goesTo ? [inFolder, onServer.rows] : [onServer.rows, inFolder]
  print(
    sentences(
      message('commands.move.would', {
        direction: goesTo ? 'to' : 'from',
        place: onServer.place,
        rows: sum(source),
        replaced: sum(target),
      }),
      onServer.others.length > 0 && message('commands.move.others', { tables: onServer.others.join(', ') }),
    ),
  )
  if (isDryRun) {
    print(message('commands.move.nothing'))
    return 0
  }
  if (!goesTo && !onServer.isOwn) {
    printError(message('commands.move.noData', { place: onServer.place }))
    return 66
  }
  if (entered(target) > 0 && !mayReplace) {
    printError(message('commands.move.dataThere', { where: goesTo ? 'there' : 'here' }))
    return 73
  }
  const there = await openServer(url)
  try {
    return goesTo ? await copy(here, there) : await copy(there, here)
  } finally {
    await there.close()
  }
})
