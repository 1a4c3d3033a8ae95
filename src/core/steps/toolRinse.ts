import { showsEveryTouch } from '@/core/finishes/finish'
import type { Corner, Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import type { ToolKind } from '@/core/tools/tool'
import type { Zone } from '@/core/wheel/zone'
import { listed } from '@/core/words/listed'

const soft: readonly ToolKind[] = ['mitt', 'sponge', 'barrelWand']
/** Zones behind the face, where the worst of the dirt sits. */
const behind: readonly Zone[] = ['barrel', 'spokeBacks']

/** The tool that is for a face that shows every touch, and for nothing behind it; null where there is none. */
export function faceTool({ tools }: Stage, { finishes }: Corner): string | null {
  const face = finishes.face
  const one =
    face && showsEveryTouch(face.finish) ? tools.find(({ zones }) => zones.includes('face')) : undefined
  const isShared = tools.some(
    ({ tool, zones }) => tool === one?.tool && zones.some((zone) => behind.includes(zone)),
  )
  return isShared ? null : (one?.tool ?? null)
}

/** How what is in the hand is kept clean. */
export function toolRinse(
  tools: readonly string[],
  stage: Stage,
  corner: Corner,
  { schools, tools: kit }: Job,
): string {
  const kinds = kit.filter(({ name }) => tools.includes(name)).map(({ kind }) => kind)
  const names = [
    kinds.some((kind) => !soft.includes(kind)) ? 'brush' : null,
    ...soft.filter((kind) => kinds.includes(kind)).map((kind) => (kind === 'barrelWand' ? 'wand' : kind)),
  ].filter((name) => name !== null)
  if (names.length === 0) return ''
  const often = `Rinse ${names.length === 1 ? `the ${names[0]}` : listed(names)} ${schools.toolRinse === 'bucket' ? 'often' : 'under running water'}`
  const own = faceTool(stage, corner)
  if (own !== null && tools.includes(own))
    return `${often}; the ${own} is for what one sees, in clean water of its own.`
  const both = stage.tools.some(
    ({ tool, zones }) =>
      tool !== null &&
      zones.some((zone) => behind.includes(zone)) &&
      zones.some((zone) => !behind.includes(zone)),
  )
  return both
    ? `${often}, and always before ${stage.zones.includes('face') ? 'the face' : 'what shows'}.`
    : `${often}.`
}
