import { message } from '@/core/message/message'
import { failWith, succeed, type Result } from '@/core/result'
import { mergeChanges } from '@/contracts/mergeChanges'
import type { Settings } from '@/contracts/settings'
import type { Database } from '@/data/database'
import { readStoredSettings, writeSettings } from '@/data/queries/settings'

/** Others may save between reading and writing, but not for ever. */
const maxRounds = 5

const shownAs = (value: unknown): string =>
  value === undefined || value === null ? 'none' : typeof value === 'string' ? value : JSON.stringify(value)

/**
 * Saves the settings that somebody changed, each over what is saved of it; what others changed meanwhile stays.
 * @param seen what they began from
 * @returns problems at the settings that others have set to something else since; nothing is written then
 */
export async function saveSettings(
  database: Database,
  seen: Settings,
  wanted: Settings,
): Promise<Result<Settings>> {
  for (let round = 0; round < maxRounds; round += 1) {
    const { settings, version } = await readStoredSettings(database)
    const { value, clashes } = mergeChanges(seen, wanted, settings)
    if (clashes.length > 0)
      return failWith(
        clashes.map(({ path, theirs }) => ({
          path,
          found: shownAs(theirs),
          fix: message('problems.settings.changedElsewhere', { value: shownAs(theirs) }),
        })),
      )
    if (await writeSettings(database, value, version)) return succeed(value)
  }
  return failWith([
    {
      path: '',
      found: message('problems.settings.busy'),
      fix: message('problems.settings.saveAgain'),
    },
  ])
}
