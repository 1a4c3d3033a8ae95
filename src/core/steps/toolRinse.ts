import type { Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import type { ToolKind } from '@/core/tools/tool'
import type { Zone } from '@/core/wheel/zone'
import { listed } from '@/core/words/listed'

const soft: readonly ToolKind[] = ['mitt', 'sponge', 'barrelWand']
/** Zones behind the face, where the worst of the dirt sits. */
const behind: readonly Zone[] = ['barrel', 'spokeBacks']

/** How what is in the hand is kept clean. */
export function toolRinse(tools: readonly string[], stage: Stage, { schools, tools: kit }: Job): string {
  const kinds = kit.filter(({ name }) => tools.includes(name)).map(({ kind }) => kind)
  const names = [
    kinds.some((kind) => !soft.includes(kind)) ? 'brush' : null,
    ...soft.filter((kind) => kinds.includes(kind)).map((kind) => (kind === 'barrelWand' ? 'wand' : kind)),
  ].filter((name) => name !== null)
  if (names.length === 0) return ''
  const often = `Rinse ${names.length === 1 ? `the ${names[0]}` : listed(names)} ${schools.toolRinse === 'bucket' ? 'often' : 'under running water'}`
  const both = stage.tools.some(
    ({ tool, zones }) =>
      tool !== null &&
      zones.some((zone) => behind.includes(zone)) &&
      zones.some((zone) => !behind.includes(zone)),
  )
  return both ? `${often}, and always before the face.` : `${often}.`
}
