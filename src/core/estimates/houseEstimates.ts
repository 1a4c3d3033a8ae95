import type { Unit } from '@/core/message/unit'
import { log } from '@/core/quantity/portableMath'

/** A coefficient that nobody published: a value to start from. Its name and its reason stand in `messages/en/estimates.json`. A shop can put its own in its place. */
export interface Estimate {
  readonly value: number
  readonly unit: Unit | null
  /** What a shop may set it to, both ends included. */
  readonly low: number
  readonly high: number
}

const one = (value: number, unit: Unit | null, low: number, high: number): Estimate => ({
  value,
  unit,
  low,
  high,
})

export const houseEstimates = {
  // Working mix a delivery lays down.
  coverageTrigger: one(100, 'mlPerSquareMetre', 10, 500),
  coveragePumpFoamer: one(100, 'mlPerSquareMetre', 10, 500),
  coverageLance: one(100, 'mlPerSquareMetre', 10, 1000),
  coverageBrush: one(60, 'mlPerSquareMetre', 5, 300),
  coverageCloth: one(13, 'mlPerSquareMetre', 1, 200),
  coverageCoating: one(6, 'mlPerSquareMetre', 1, 100),
  coverageSprayRinse: one(42, 'mlPerSquareMetre', 5, 200),
  tarFewMillilitres: one(8, 'ml', 1, 100),
  tarPepperedMillilitres: one(40, 'ml', 5, 200),
  openWheelWaste: one(0.35, 'share', 0, 2),

  // Hand time of one act at one wheel of middling size.
  secondsLookRound: one(90, 's', 0, 1800),
  secondsCoolCheck: one(20, 's', 0, 600),
  secondsGetReady: one(90, 's', 0, 1800),
  secondsPreRinse: one(25, 's', 5, 900),
  secondsSpray: one(14, 's', 5, 300),
  secondsAgitate: one(170, 's', 10, 1800),
  secondsScrub: one(50, 's', 10, 900),
  secondsScrubArch: one(30, 's', 5, 900),
  secondsWipe: one(80, 's', 10, 900),
  secondsRinse: one(25, 's', 5, 600),
  secondsLookAgain: one(60, 's', 0, 900),
  secondsDry: one(32, 's', 5, 900),
  secondsDrySpots: one(10, 's', 0, 120),
  secondsProtect: one(75, 's', 5, 1800),
  secondsProtectSprayed: one(12, 's', 3, 300),
  secondsProtectCoating: one(720, 's', 60, 3600),
  secondsDress: one(40, 's', 5, 900),
  secondsBody: one(150, 's', 10, 3600),
  secondsTestSpot: one(150, 's', 0, 1200),
  secondsHub: one(120, 's', 10, 1200),
  secondsDegrease: one(120, 's', 10, 1200),
  secondsPolish: one(420, 's', 30, 3600),
  secondsRoll: one(60, 's', 0, 600),
  secondsBrakes: one(40, 's', 0, 600),
  secondsWriteDown: one(40, 's', 0, 900),
  secondsLiftSide: one(540, 's', 60, 3600),
  secondsWipeTyre: one(12, 's', 3, 300),
  twoTogetherShare: one(0.6, 'factor', 0.4, 1),
  thoroughShare: one(1.35, 'factor', 1, 3),
  spotTreatShare: one(3.5, 'factor', 1, 10),
  spotShare: one(0.35, 'factor', 0.05, 1),
  quickShare: one(0.5, 'factor', 0.2, 1),
  lightDirtShare: one(0.67, 'factor', 0.3, 1),
  heavyDirtShare: one(1.25, 'factor', 1, 3),
  neglectedDirtShare: one(1.5, 'factor', 1, 4),
  clearGritSeconds: one(60, 's', 5, 900),
  heavyGritSeconds: one(90, 's', 5, 900),
  neglectedGritSeconds: one(120, 's', 5, 1800),
  fabricLinerFactor: one(2.5, 'factor', 1, 5),
  extraSpokeShare: one(0.075, 'share', 0, 0.5),
  tightGapShare: one(1.25, 'share', 0, 3),
  easyGapMillimetres: one(40, 'mm', 5, 150),
  closedFaceShare: one(0.25, 'share', 0, 2),
  easyOpenness: one(0.4, 'share', 0.05, 0.9),
  secondsPerPiece: one(3, 's', 0, 60),
  paceTrust: one(4, 'times', 0.5, 100),

  // How long it stays wet, and what that costs.
  filmThin: one(50, 'gramsPerSquareMetre', 5, 300),
  filmFoam: one(120, 'gramsPerSquareMetre', 10, 500),
  filmGel: one(200, 'gramsPerSquareMetre', 10, 800),
  wetMargin: one(0.7, 'share', 0.2, 1),
  secondsReMist: one(12, 's', 2, 120),
  secondsToolChange: one(4, 's', 0, 60),
  secondsWalk: one(6, 's', 0, 120),
  coolEnoughCelsius: one(35, 'celsius', 20, 60),
  shareBarrel: one(0.4, 'share', 0.05, 0.9),
  shareFace: one(0.35, 'share', 0.05, 0.9),

  // What a product removes: K by rating, and what changes it.
  removalRating1: one(log(2), 'eFolds', 0.1, 2),
  removalRating2: one(log(4), 'eFolds', 0.2, 3),
  removalRating3: one(log(10), 'eFolds', 0.4, 5),
  removalRating4: one(log(33), 'eFolds', 0.8, 7),
  strengthExponent: one(0.6, null, 0, 1.5),
  q10: one(1.5, null, 1, 3),
  mechanicsNone: one(0.4, 'factor', 0.05, 1),
  mechanicsSoft: one(1, 'factor', 0.3, 2),
  mechanicsStiff: one(1.4, 'factor', 0.5, 3),
  mechanicsClay: one(2, 'factor', 1, 4),
  ironOverFilm: one(0.25, 'factor', 0, 1),
  secondRoundShare: one(0.5, 'share', 0, 1),
  touchSoft: one(0.3, 'points', 0, 2),
  touchHard: one(0.06, 'points', 0, 2),
  anotherRecipePoints: one(1.5, 'points', 0, 10),
  anotherRecipeSeconds: one(90, 's', 0, 600),
  onWetWheel: one(0.88, 'factor', 0.3, 1),
  removalBand: one(0.35, 'share', 0, 1),
  targetSlack: one(1.25, 'factor', 1, 2),
  targetMaintained: one(0.5, 'amount', 0.05, 0.95),
  targetDecontaminated: one(0.5, 'amount', 0.05, 0.95),

  // What a wash takes off protection that is there.
  wearHardly: one(0.01, 'share', 0, 0.5),
  wearSome: one(0.1, 'share', 0, 1),
  wearStrips: one(0.85, 'share', 0, 1),
  wearOnCoating: one(0.1, 'factor', 0, 1),
  wearOnWax: one(2, 'factor', 1, 5),
  wearTouch: one(0.003, 'share', 0, 0.1),
  wearUsualWash: one(0.03, 'share', 0, 0.5),

  // What uses protection up between the washes, and how looks are read.
  lifeQuickDetailer: one(14, 'days', 1, 365),
  lifeSprayRinseSilica: one(60, 'days', 1, 1000),
  lifeSprayWax: one(95, 'days', 1, 1000),
  lifeSpraySealant: one(190, 'days', 1, 2000),
  lifeWheelWax: one(110, 'days', 1, 1000),
  lifeCeramicCoating: one(1100, 'days', 1, 5000),
  lifeCoatingTopper: one(140, 'days', 1, 1000),
  lifeMatteSealant: one(160, 'days', 1, 2000),
  lifeTyreDressingWater: one(14, 'days', 1, 365),
  lifeTyreDressingSolvent: one(28, 'days', 1, 365),
  lifeTyreCoating: one(150, 'days', 1, 2000),
  lifeLinerDressing: one(60, 'days', 1, 1000),
  lifeDiscInhibitor: one(6, 'days', 1, 100),
  secondCoatLife: one(1.25, 'factor', 1, 3),
  rearWearShare: one(0.45, 'share', 0, 2),
  winterWear: one(1.5, 'factor', 0.5, 5),
  saltFew: one(0.85, 'factor', 0.3, 2),
  saltMuch: one(1.25, 'factor', 0.5, 4),
  garageWear: one(0.85, 'factor', 0.2, 2),
  storedWear: one(0.1, 'factor', 0, 1),
  coveredWear: one(0.25, 'factor', 0, 1),
  setWearSpread: one(0.35, 'log', 0.05, 1),
  productWearSpread: one(0.3, 'log', 0.05, 1),
  axleWearSpread: one(0.35, 'log', 0.05, 1),
  lookSpread: one(0.11, 'share', 0.02, 0.5),
  clogPerWeek: one(0.03, 'share', 0, 0.5),
  clogWinterPerWeek: one(0.08, 'share', 0, 0.5),
  clogLeftByWash: one(0.6, 'share', 0, 1),
  decontaminationDays: one(182, 'days', 14, 2000),
  wheelsOffDays: one(182, 'days', 14, 2000),
  torqueFirstKilometres: one(50, 'km', 5, 500),
  torqueLastKilometres: one(100, 'km', 10, 1000),
  resinGramsPerLitre: one(25, 'gramsPerLitre', 1, 100),
  clogMost: one(0.7, 'share', 0.1, 0.95),

  // What things are worth against each other in the balanced plan.
  minuteValueMinor: one(60, 'minorPerMinute', 0, 1000),
  renewalValueMinor: one(900, 'minorPerWheel', 0, 50_000),
  riskValueMinor: one(250, 'minor', 0, 10_000),

  // Dirt expected since the last clean, per 1000 km on a front wheel with ordinary pads.
  dustPer1000Km: one(1.6, 'perThousandKilometres', 0, 10),
  bondedPer1000Km: one(0.55, 'perThousandKilometres', 0, 10),
  filmPer1000Km: one(0.9, 'perThousandKilometres', 0, 10),
  rearDustShare: one(0.45, 'share', 0, 2),
  winterFilmFactor: one(1.8, 'factor', 1, 5),
  reorderShare: one(0.25, 'share', 0, 1),
  mixedBottleDays: one(60, 'days', 1, 1000),
  browningPerMonth: one(0.8, 'amount', 0, 5),
} as const satisfies Record<string, Estimate> // prettier-ignore

export type EstimateId = keyof typeof houseEstimates
export const estimateIds = Object.keys(houseEstimates) as EstimateId[]

/** What a shop has set in place of the house's values. */
export type EstimateOverrides = Partial<Record<EstimateId, number>>

/** The value that holds for this shop. */
export const estimate = (id: EstimateId, overrides: EstimateOverrides): number =>
  overrides[id] ?? houseEstimates[id].value
