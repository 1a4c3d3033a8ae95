import type { Fill, Stage } from '@/core/plan/plan'

interface FilledPlan {
  readonly stages: readonly Pick<Stage, 'id' | 'strength'>[]
}

/** Share of concentrate that a filling should have: what its stages ask for, before anything was measured. */
export const strengthOf = ({ stageIds, recipe }: Fill, { stages }: FilledPlan): number =>
  stages.find(({ id }) => stageIds.includes(id))?.strength.from ?? recipe.realFraction
