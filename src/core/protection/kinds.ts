export const protectionKinds = [
  'quickDetailer', 'sprayRinseSilica', 'sprayWax', 'spraySealant', 'wheelWax', 'ceramicCoating', 'coatingTopper',
  'matteSealant', 'tyreDressingWater', 'tyreDressingSolvent', 'tyreCoating', 'linerDressing', 'discInhibitor',
] as const // prettier-ignore
export type ProtectionKind = (typeof protectionKinds)[number]

/** Life of a protection on wheels, in days on a rear wheel in mixed use. House estimates. */
export interface ProtectionFacts {
  readonly name: string
  readonly on: 'wheel' | 'tyre' | 'arch' | 'disc'
  readonly lifeDays: { readonly from: number; readonly to: number }
  /** Nothing wet may touch it before this; 0 for none. */
  readonly cureHours: number
  /**
   * What ordinary dust in front does to it, if nothing else used it up; how a wash counts against a sealant, and hot months against
   * mild ones. Its life by days alone is an estimate of its own, open to be changed.
   */
  readonly wear: { readonly lifeKilometres: number; readonly washFactor: number; readonly hotFactor: number }
  readonly reason: string
}

export const protectionFacts: Record<ProtectionKind, ProtectionFacts> = {
  quickDetailer: { name: 'quick detailer', on: 'wheel', lifeDays: { from: 7, to: 14 }, cureHours: 0, wear: { lifeKilometres: 900, washFactor: 2, hotFactor: 1.3 }, reason: 'Gone after one or two washes.' },
  sprayRinseSilica: { name: 'spray-and-rinse silica', on: 'wheel', lifeDays: { from: 21, to: 60 }, cureHours: 0, wear: { lifeKilometres: 3500, washFactor: 1, hotFactor: 1 }, reason: 'One to six weeks on a dusty front, longer behind.' },
  sprayWax: { name: 'spray wax', on: 'wheel', lifeDays: { from: 30, to: 90 }, cureHours: 0, wear: { lifeKilometres: 5000, washFactor: 2, hotFactor: 1.3 }, reason: 'About five washes.' },
  spraySealant: { name: 'wipe-on spray sealant', on: 'wheel', lifeDays: { from: 60, to: 180 }, cureHours: 1, wear: { lifeKilometres: 9000, washFactor: 1, hotFactor: 1 }, reason: 'Two to six months by dust and winter.' },
  wheelWax: { name: 'wheel wax', on: 'wheel', lifeDays: { from: 30, to: 90 }, cureHours: 1, wear: { lifeKilometres: 4500, washFactor: 2, hotFactor: 1.3 }, reason: 'Heat of the brakes shortens a wax.' },
  ceramicCoating: { name: 'ceramic coating', on: 'wheel', lifeDays: { from: 365, to: 1095 }, cureHours: 24, wear: { lifeKilometres: 60_000, washFactor: 0.1, hotFactor: 1 }, reason: 'One to three years, with a topper in between.' },
  coatingTopper: { name: 'coating topper', on: 'wheel', lifeDays: { from: 60, to: 120 }, cureHours: 1, wear: { lifeKilometres: 8000, washFactor: 1, hotFactor: 1 }, reason: 'Two to four months on a coating.' },
  matteSealant: { name: 'matte sealant', on: 'wheel', lifeDays: { from: 60, to: 150 }, cureHours: 1, wear: { lifeKilometres: 8000, washFactor: 1, hotFactor: 1 }, reason: 'A sealant without gloss agents.' },
  tyreDressingWater: { name: 'water-based tyre dressing', on: 'tyre', lifeDays: { from: 7, to: 14 }, cureHours: 0, wear: { lifeKilometres: 1400, washFactor: 2, hotFactor: 1 }, reason: 'One to two weeks of weather.' },
  tyreDressingSolvent: { name: 'solvent-based tyre dressing', on: 'tyre', lifeDays: { from: 14, to: 28 }, cureHours: 0, wear: { lifeKilometres: 2800, washFactor: 1, hotFactor: 1 }, reason: 'Two to four weeks; slings when thick.' },
  tyreCoating: { name: 'tyre coating', on: 'tyre', lifeDays: { from: 60, to: 180 }, cureHours: 4, wear: { lifeKilometres: 9000, washFactor: 1, hotFactor: 1 }, reason: 'Two to six months, longer with a second coat.' },
  linerDressing: { name: 'liner dressing', on: 'arch', lifeDays: { from: 30, to: 60 }, cureHours: 0, wear: { lifeKilometres: 4000, washFactor: 1, hotFactor: 1 }, reason: 'One to two months under spray and grit.' },
  discInhibitor: { name: 'disc corrosion inhibitor', on: 'disc', lifeDays: { from: 2, to: 7 }, cureHours: 0, wear: { lifeKilometres: 80, washFactor: 2, hotFactor: 1 }, reason: 'Days; gone with the first stops.' },
} // prettier-ignore

/** Kinds that water beads on: the ones a look tells something of. */
export const beads = (kind: ProtectionKind): boolean => protectionFacts[kind].on === 'wheel'
