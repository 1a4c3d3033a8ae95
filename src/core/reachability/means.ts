import type { Job } from '@/core/job/job'
import type { Tool, ToolDuty, ToolKind } from '@/core/tools/tool'

type Kit = Pick<Job, 'tools'>

/** Clean tools of a kind; with a duty only those that are kept for it. What is kept for the paint stays with the paint. */
export const cleanOf = (kind: ToolKind, { tools }: Kit, duty?: ToolDuty): Tool[] =>
  tools.filter(
    (tool) =>
      tool.kind === kind &&
      tool.state === 'clean' &&
      tool.dedicatedTo !== 'paint' &&
      (duty === undefined || tool.dedicatedTo === duty),
  )

export const hasClean = (kind: ToolKind, kit: Kit, duty?: ToolDuty): boolean =>
  cleanOf(kind, kit, duty).length > 0

/** Cloths that touch the wheel: one that is kept for tyres or arches carries grit. */
export const hasCloth = (kit: Kit): boolean => hasClean('towel', kit, 'wheel')

/** Whether anything gets a wheel dry. */
export const canDry = (kit: Kit): boolean => hasCloth(kit) || hasClean('blower', kit)
