import type { Step } from './plan'

/** A step with nothing special about it, for tests. */
export const testStep = (id: string, changes: Partial<Step> = {}): Step => ({
  id,
  act: 'scrub',
  corner: 'frontLeft',
  stageId: null,
  title: id,
  detail: '',
  zones: [],
  tools: [],
  operatorSeconds: 10,
  startsDwell: null,
  stopsDwellOf: null,
  wetLimitSeconds: null,
  part: null,
  why: '',
  cautions: [],
  ...changes,
})
