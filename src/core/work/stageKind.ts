export const stageKinds = [
  'arch', 'tyre', 'waterless', 'wash', 'iron', 'mineral', 'tar', 'protect', 'dress',
] as const // prettier-ignore
/** What a stage of chemistry is for, in working order. */
export type StageKind = (typeof stageKinds)[number]

export const stageNames: Record<StageKind, string> = {
  arch: 'Arches',
  tyre: 'Tyres',
  waterless: 'Waterless',
  wash: 'Wheel wash',
  iron: 'Bonded dust',
  mineral: 'Mineral scale',
  tar: 'Tar',
  protect: 'Protection',
  dress: 'Tyre dressing',
}
