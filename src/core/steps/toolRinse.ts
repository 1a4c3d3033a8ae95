import { message, sentences, type Message, type Said } from '@/core/message/message'
import { showsEveryTouch } from '@/core/finishes/finish'
import type { Corner, Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import type { ToolKind } from '@/core/tools/tool'
import type { Zone } from '@/core/wheel/zone'

const soft = ['mitt', 'sponge', 'barrelWand'] as const satisfies readonly ToolKind[]
const softNames = {
  mitt: 'steps.rinseTool.mitt',
  sponge: 'steps.rinseTool.sponge',
  barrelWand: 'steps.rinseTool.wand',
} as const
const isSoft = (kind: ToolKind): boolean => soft.some((one) => one === kind)
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
  { methods, tools: kit }: Job,
): Said {
  const kinds = kit.filter(({ name }) => tools.includes(name)).map(({ kind }) => kind)
  const names = [
    ...(kinds.some((kind) => !isSoft(kind)) ? [message('steps.rinseTool.brush')] : []),
    ...soft.filter((kind) => kinds.includes(kind)).map((kind) => message(softNames[kind])),
  ]
  if (names.length === 0) return ''
  const isOften = methods.toolRinse === 'bucket'
  const own = faceTool(stage, corner)
  if (own !== null && tools.includes(own))
    return sentences(rinseOf(names, isOften), message('steps.rinseTool.faceTool', { tool: own }))
  const both = stage.tools.some(
    ({ tool, zones }) =>
      tool !== null &&
      zones.some((zone) => behind.includes(zone)) &&
      zones.some((zone) => !behind.includes(zone)),
  )
  return both ? rinseBefore(names, isOften, stage.zones.includes('face')) : rinseOf(names, isOften)
}

const rinseOf = (tools: readonly Message[], isOften: boolean): Message =>
  isOften ? message('steps.rinseTool.often', { tools }) : message('steps.rinseTool.running', { tools })

/** One tool for what lies behind and for what one sees. */
function rinseBefore(tools: readonly Message[], isOften: boolean, hasFace: boolean): Message {
  if (hasFace)
    return isOften
      ? message('steps.rinseTool.oftenBeforeFace', { tools })
      : message('steps.rinseTool.runningBeforeFace', { tools })
  return isOften
    ? message('steps.rinseTool.oftenBeforeFront', { tools })
    : message('steps.rinseTool.runningBeforeFront', { tools })
}
