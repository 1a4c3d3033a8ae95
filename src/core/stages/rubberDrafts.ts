import { message } from '@/core/message/message'
import type { Corner, Job } from '@/core/job/job'
import { pickTool } from '@/core/reachability/pickTool'
import { isHere } from '@/core/reachability/zoneReach'
import { sayMethod } from '@/core/methods/methods'
import { services } from '@/core/visit-kinds/service'
import { worstGrade } from '@/core/soils/zoneLoads'
import { sayNoTool } from '@/core/reasons/shortfalls'
import { axleOf, inWalkingOrder } from '@/core/wheel/position'
import { rubberToolSite, type RubberCandidates } from './rubberCandidates'
import { chooseForRubber } from './rubberStages'
import type { MethodsUsed } from './methodsUsed'
import type { Miss } from './shortfallBook'
import { addDraft, zoneTools, type StageDraft } from './stageDraft'

/** Whether the arches of some wheels are cleaned today. */
function wantsArch(corners: readonly Corner[], job: Job): boolean {
  const { arches } = services[job.service]
  if (arches !== 'byMethod') return arches === 'always'
  const soiled = (['grit', 'film', 'organic'] as const).some(
    (soil) => worstGrade(corners, ['arch'], soil) > 0,
  )
  return job.methods.arches === 'always' || soiled
}

/** Chemistry for arches or tyres, axle by axle; nothing where none is. */
export function rubberDrafts(
  surface: 'tyre' | 'arch',
  job: Job,
  candidates: RubberCandidates,
  miss: Miss,
  methods: MethodsUsed,
): StageDraft[] {
  const drafts: StageDraft[] = []
  const service = services[job.service]
  for (const axle of ['front', 'rear'] as const) {
    const corners = inWalkingOrder(job.corners).filter(
      (corner) => axleOf(corner.position) === axle && isHere(surface, corner, job),
    )
    if (corners.length === 0 || !(surface === 'tyre' ? service.tyres : wantsArch(corners, job))) continue
    if (surface === 'arch' && service.arches === 'byMethod') methods.add(sayMethod('arches', job.methods))
    const { stage, keepOffWheel, shortfall, method } = chooseForRubber(surface, corners, job, candidates)
    const positions = corners.map(({ position }) => position)
    if (shortfall) miss(positions, shortfall.text, shortfall.fix)
    if (method) methods.add(method)
    if (!stage) continue
    const site = rubberToolSite(job, surface)
    const tool = pickTool(surface, job.tools, site)
    if (!tool) miss(positions, ...sayNoTool([surface], job, site, 'sprayed'))
    addDraft(
      drafts,
      {
        ...stage,
        dwellSeconds: { min: stage.dwellMinSeconds, max: stage.labelMaxSeconds },
        keptOffWheel: keepOffWheel,
        zones: [surface],
        tools: zoneTools(new Map([[surface, tool]])),
        care: [
          ...(keepOffWheel ? [message('reasons.care.offWheel')] : []),
          ...(surface === 'arch' && job.archLiner === 'fabric' ? [message('reasons.care.fabric')] : []),
        ],
      },
      corners,
    )
  }
  return drafts
}
