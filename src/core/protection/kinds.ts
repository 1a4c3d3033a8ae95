export const protectionKinds = [
  'quickDetailer', 'sprayRinseSilica', 'sprayWax', 'spraySealant', 'wheelWax', 'ceramicCoating', 'coatingTopper',
  'matteSealant', 'tyreDressingWater', 'tyreDressingSolvent', 'tyreCoating', 'linerDressing', 'discInhibitor',
] as const // prettier-ignore
export type ProtectionKind = (typeof protectionKinds)[number]

/** Life of a protection on wheels, in days on a rear wheel in mixed use. House estimates. */
export interface ProtectionFacts {
  readonly on: 'wheel' | 'tyre' | 'arch' | 'disc'
  readonly lifeDays: { readonly from: number; readonly to: number }
  /** Nothing wet may touch it before this; 0 for none. */
  readonly cureHours: number
  /**
   * What ordinary dust in front does to it, if nothing else used it up; how a wash counts against a sealant, and hot months against
   * mild ones. Its life by days alone is an estimate of its own, open to be changed.
   */
  readonly wear: { readonly lifeKilometres: number; readonly washFactor: number; readonly hotFactor: number }
}

export const protectionFacts: Record<ProtectionKind, ProtectionFacts> = {
  quickDetailer: { on: 'wheel', lifeDays: { from: 7, to: 14 }, cureHours: 0, wear: { lifeKilometres: 900, washFactor: 2, hotFactor: 1.3 } },
  sprayRinseSilica: { on: 'wheel', lifeDays: { from: 21, to: 60 }, cureHours: 0, wear: { lifeKilometres: 3500, washFactor: 1, hotFactor: 1 } },
  sprayWax: { on: 'wheel', lifeDays: { from: 30, to: 90 }, cureHours: 0, wear: { lifeKilometres: 5000, washFactor: 2, hotFactor: 1.3 } },
  spraySealant: { on: 'wheel', lifeDays: { from: 60, to: 180 }, cureHours: 1, wear: { lifeKilometres: 9000, washFactor: 1, hotFactor: 1 } },
  wheelWax: { on: 'wheel', lifeDays: { from: 30, to: 90 }, cureHours: 1, wear: { lifeKilometres: 4500, washFactor: 2, hotFactor: 1.3 } },
  ceramicCoating: { on: 'wheel', lifeDays: { from: 365, to: 1095 }, cureHours: 24, wear: { lifeKilometres: 60_000, washFactor: 0.1, hotFactor: 1 } },
  coatingTopper: { on: 'wheel', lifeDays: { from: 60, to: 120 }, cureHours: 1, wear: { lifeKilometres: 8000, washFactor: 1, hotFactor: 1 } },
  matteSealant: { on: 'wheel', lifeDays: { from: 60, to: 150 }, cureHours: 1, wear: { lifeKilometres: 8000, washFactor: 1, hotFactor: 1 } },
  tyreDressingWater: { on: 'tyre', lifeDays: { from: 7, to: 14 }, cureHours: 0, wear: { lifeKilometres: 1400, washFactor: 2, hotFactor: 1 } },
  tyreDressingSolvent: { on: 'tyre', lifeDays: { from: 14, to: 28 }, cureHours: 0, wear: { lifeKilometres: 2800, washFactor: 1, hotFactor: 1 } },
  tyreCoating: { on: 'tyre', lifeDays: { from: 60, to: 180 }, cureHours: 4, wear: { lifeKilometres: 9000, washFactor: 1, hotFactor: 1 } },
  linerDressing: { on: 'arch', lifeDays: { from: 30, to: 60 }, cureHours: 0, wear: { lifeKilometres: 4000, washFactor: 1, hotFactor: 1 } },
  discInhibitor: { on: 'disc', lifeDays: { from: 2, to: 7 }, cureHours: 0, wear: { lifeKilometres: 80, washFactor: 2, hotFactor: 1 } },
} // prettier-ignore

/** Kinds that water beads on: the ones a look tells something of. */
export const beads = (kind: ProtectionKind): boolean => protectionFacts[kind].on === 'wheel'
