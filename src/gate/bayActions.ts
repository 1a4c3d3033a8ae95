import { readFileSync } from 'node:fs'
import { join } from 'node:path'

/** Actions a device of the bay may call, by file and name; every other one is the owner's, whatever page it is sent to. */
const bayActions: readonly string[] = [
  'src/app/jobs/actions.ts discardPlan',
  'src/app/jobs/actions.ts keepChange',
  'src/app/jobs/actions.ts keepHour',
  'src/app/jobs/actions.ts endJob',
  'src/app/devices/actions.ts askWeather',
  'src/app/devices/actions.ts askThermometer',
  'src/app/wheels/actions.ts planVisit',
  'src/app/wheels/protectionActions.ts takeLookBack',
]

interface ActionList {
  readonly node: Readonly<Record<string, { readonly filename: string; readonly exportedName: string }>>
}

let ids: ReadonlySet<string> | null = null

/** The ids that the build gave them; none where it cannot be read, so that nothing is let through by mistake. */
function bayActionIds(): ReadonlySet<string> {
  if (ids) return ids
  try {
    const file = join(
      /* turbopackIgnore: true */ process.cwd(),
      '.next',
      'server',
      'server-reference-manifest.json',
    )
    const { node } = JSON.parse(readFileSync(file, 'utf8')) as ActionList
    ids = new Set(
      Object.entries(node)
        .filter(([, { filename, exportedName }]) => bayActions.includes(`${filename} ${exportedName}`))
        .map(([id]) => id),
    )
  } catch {
    ids = new Set()
  }
  return ids
}

export const isBayAction = (id: string): boolean => bayActionIds().has(id)
