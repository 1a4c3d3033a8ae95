import { estimate, type OwnEstimates } from '@/core/estimates/houseEstimates'
import type { Tool } from '@/core/tools/tool'

/** What the hand adds to the chemistry: none where no tool reaches. House estimates. */
export function mechanicsOf(tool: Tool | null, own: OwnEstimates): number {
  if (!tool) return estimate('mechanicsNone', own)
  if (tool.kind === 'clay') return estimate('mechanicsClay', own)
  return estimate(tool.stiffness === 'stiff' ? 'mechanicsStiff' : 'mechanicsSoft', own)
}
