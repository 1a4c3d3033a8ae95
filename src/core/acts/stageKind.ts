export const stageKinds = [
  'presoak', 'arch', 'tyre', 'waterless', 'wash', 'iron', 'mineral', 'tar', 'polish', 'protect', 'dress',
] as const // prettier-ignore
/** What a stage of chemistry is for, in working order. */
export type StageKind = (typeof stageKinds)[number]

/** Rubber and liners. */
export const isOnRubber = (kind: StageKind): boolean => kind === 'arch' || kind === 'tyre'
/** What stays on. */
export const isFinishing = (kind: StageKind): boolean => kind === 'protect' || kind === 'dress'
/** Chemistry that cleans the wheel itself. */
export const cleansWheel = (kind: StageKind): boolean =>
  !isOnRubber(kind) && !isFinishing(kind) && kind !== 'presoak' && kind !== 'polish'
