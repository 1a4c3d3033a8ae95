import type { Said } from '@/core/message/message'
import type { Plan } from '@/core/plan/plan'
import { planPasses } from './planPasses'

/** Titles of the passes a plan's steps belong to, by step; steps around the passes have none. */
export const passTitles = (plan: Pick<Plan, 'steps' | 'stages' | 'sequence'>): ReadonlyMap<string, Said> =>
  new Map(
    planPasses(plan).passes.flatMap(({ title, moves }) =>
      moves.flatMap(({ stepIds }) => stepIds.map((id) => [id, title] as const)),
    ),
  )
