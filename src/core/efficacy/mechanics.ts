import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { Tool } from '@/core/tools/tool'

/** What the hand adds to the chemistry: none where no tool reaches. House estimates. */
export function mechanicsOf(tool: Tool | null, overrides: EstimateOverrides): number {
  if (!tool) return estimate('mechanicsNone', overrides)
  if (tool.kind === 'clay') return estimate('mechanicsClay', overrides)
  return estimate(tool.stiffness === 'stiff' ? 'mechanicsStiff' : 'mechanicsSoft', overrides)
}
