import { log } from '@/core/quantity/steady'

/** A coefficient that nobody published: a value to start from, with its reason. A shop can put its own in its place. */
export interface Estimate {
  readonly value: number
  readonly unit: string
  readonly reason: string
  /** What a shop may set it to, both ends included. */
  readonly low: number
  readonly high: number
}

const one = (value: number, unit: string, low: number, high: number, reason: string): Estimate => ({
  value, unit, reason, low, high,
}) // prettier-ignore

export const houseEstimates = {
  // Working mix a delivery lays down.
  coverageTrigger: one(100, 'ml/m²', 10, 500, 'A visibly wet, even film with a hand trigger.'),
  coveragePumpFoamer: one(100, 'ml/m²', 10, 500, 'Foam stays where it lands, so no more than a thin film.'),
  coverageLance: one(100, 'ml/m²', 10, 1000, 'Bottle mix, which the washer thins on its way.'),
  coverageBrush: one(60, 'ml/m²', 5, 300, 'A thin coat with a primed applicator.'),
  coverageCloth: one(13, 'ml/m²', 1, 200, 'A few sprays on a folded cloth or applicator.'),
  coverageCoating: one(6, 'ml/m²', 1, 100, 'Drop by drop on the applicator: a 30 ml bottle does a set.'),
  coverageSprayRinse: one(42, 'ml/m²', 5, 200, 'A light mist on the wet wheel; the water carries it.'),
  tarFewMillilitres: one(8, 'ml', 1, 100, 'A few lumps are dabbed, not sprayed over.'),
  tarPepperedMillilitres: one(40, 'ml', 5, 200, 'A wheel peppered with tar.'),
  openWheelWaste: one(0.35, 'share', 0, 2, 'About a third of what is aimed at a gap ends up on the floor.'),

  // Hand time of one act at one wheel of middling size.
  secondsLookRound: one(90, 's', 0, 1800, 'A walk round the vehicle with a torch and a thin bag.'),
  secondsCoolCheck: one(20, 's', 0, 600, 'A hand or a thermometer at each wheel.'),
  secondsGetReady: one(90, 's', 0, 1800, 'Gloves, glasses, bottles, hose guides.'),
  secondsPreRinse: one(25, 's', 5, 900, 'Arch, barrel, face and tyre under pressure, little grit.'),
  secondsSpray: one(14, 's', 5, 300, 'Even cover of one wheel, tyre or arch from one bottle.'),
  secondsAgitate: one(170, 's', 10, 1800, 'Barrel, backs, face and details of a ten-spoke wheel, clear dirt.'),
  secondsScrub: one(50, 's', 10, 900, 'A tyre, quarter by quarter.'),
  secondsScrubArch: one(30, 's', 5, 900, 'One hard liner with the long brush.'),
  secondsWipe: one(80, 's', 10, 900, 'Tar lumps loosened and wiped off, or light dust lifted with two cloths.'),
  secondsRinse: one(25, 's', 5, 600, 'Everything that is on the wheel, from the top down.'),
  secondsLookAgain: one(60, 's', 0, 900, 'All wheels, wet and then dry.'),
  secondsDry: one(32, 's', 5, 900, 'Blower in lug holes and behind spokes, towel for the rest.'),
  secondsDrySpots: one(10, 's', 0, 120, 'Tar spots patted dry, because solvent works on dry spots.'),
  secondsProtect: one(75, 's', 5, 1800, 'Wiped on thin and even, all reachable zones.'),
  secondsProtectSprayed: one(12, 's', 3, 300, 'Sprayed on the wet wheel; its rinse comes on top.'),
  secondsProtectCoating: one(720, 's', 60, 3600, 'Coating spoke by spoke, and levelling.'),
  secondsDress: one(40, 's', 5, 900, 'One sidewall, primed applicator.'),
  secondsBody: one(150, 's', 10, 3600, 'One side of the body by mitt, or one all-round rinse.'),
  secondsTestSpot: one(150, 's', 0, 1200, 'A palm’s breadth: put on, half its dwell, rinsed, dried, looked at.'),
  secondsHub: one(120, 's', 10, 1200, 'Hub face and mounting pad brushed and wiped, caliper and arch lip cleaned.'),
  secondsDegrease: one(120, 's', 10, 1200, 'A degreasing wipe of the whole wheel before a coating.'),
  secondsPolish: one(420, 's', 30, 3600, 'Bare metal by hand with polish, and wiped clean.'),
  secondsRoll: one(60, 's', 0, 600, 'Half a turn, then the part of each tyre that stood on the ground.'),
  secondsBrakes: one(40, 's', 0, 600, 'A few metres forward and back.'),
  secondsWriteDown: one(40, 's', 0, 900, 'What was used, how it went.'),
  secondsLiftSide: one(540, 's', 60, 3600, 'One side lifted, two wheels off and onto stands; as long to refit and tighten.'),
  secondsWipeTyre: one(12, 's', 3, 300, 'A sidewall wiped with the suds that are at hand.'),
  twoTogetherShare: one(0.6, 'factor', 0.4, 1, 'Two look round, make ready and lift in little more than half the time.'),
  thoroughShare: one(1.35, 'factor', 1, 3, 'Where everything is to come off, every spoke root and seat is gone round.'),
  spotTreatShare: one(3.5, 'factor', 1, 10, 'A second look after a decontamination finds spots, and treats them at once.'),
  spotShare: one(0.35, 'factor', 0.05, 1, 'One spot that stayed is sprayed and brushed in about a third of the time of the wheel.'),
  quickShare: one(0.5, 'factor', 0.2, 1, 'On a quick round mitt and wand go over once, and little is made ready.'),
  lightDirtShare: one(0.67, 'factor', 0.3, 1, 'Light dirt is brushed in two thirds of the time.'),
  heavyDirtShare: one(1.25, 'factor', 1, 3, 'Heavy dirt wants a second look at every spoke.'),
  neglectedDirtShare: one(1.5, 'factor', 1, 4, 'Neglected, half as long again.'),
  clearGritSeconds: one(60, 's', 5, 900, 'Clear grit in arch and barrel takes a minute of water.'),
  heavyGritSeconds: one(90, 's', 5, 900, 'Heavy grit.'),
  neglectedGritSeconds: one(120, 's', 5, 1800, 'Caked mud: until it runs clear.'),
  fabricLinerFactor: one(2.5, 'factor', 1, 5, 'A carpet holds what a hard liner lets go; up to five minutes when it is full.'),
  extraSpokeShare: one(0.075, 'share', 0, 0.5, 'Narrow multi-spoke wheels take up to twice as long.'),
  tightGapShare: one(1.25, 'share', 0, 3, 'A gap a brush has to be worked through, at its tightest.'),
  easyGapMillimetres: one(40, 'mm', 5, 150, 'From here on hand and brush go through without care.'),
  closedFaceShare: one(0.25, 'share', 0, 2, 'A face almost closed leaves little room to reach the barrel.'),
  easyOpenness: one(0.4, 'share', 0.05, 0.9, 'A face so open does not slow the barrel down.'),
  secondsPerPiece: one(3, 's', 0, 60, 'A lug, a rivet or a badge, beyond the usual five lugs.'),
  paceTrust: one(4, 'times', 0.5, 100, 'So many logged times count as much as the house’s value.'),

  // How long it stays wet, and what that costs.
  filmThin: one(50, 'g/m²', 5, 300, 'A thin liquid runs off until about this is left.'),
  filmFoam: one(120, 'g/m²', 10, 500, 'Foam and suds hold more than twice a thin film.'),
  filmGel: one(200, 'g/m²', 10, 800, 'A gel or a thick coat stays where it is put.'),
  wetMargin: one(0.7, 'share', 0.2, 1, 'Edges and thin spots dry first.'),
  secondsReMist: one(12, 's', 2, 120, 'A fine mist over one wheel, bottle or water.'),
  secondsToolChange: one(4, 's', 0, 60, 'Put one down, take the other up.'),
  secondsWalk: one(6, 's', 0, 120, 'From one wheel to the next.'),
  coolEnoughCelsius: one(35, '°C', 20, 60, 'Cool to the touch.'),
  shareBarrel: one(0.4, 'share', 0.05, 0.9, 'Barrel and spoke backs take the most of the contact work.'),
  shareFace: one(0.35, 'share', 0.05, 0.9, 'Windows, face and lip.'),

  // What a product removes: K by rating, and what changes it.
  removalRating1: one(log(2), 'e-folds', 0.1, 2, 'Rated 1: half of it goes.'),
  removalRating2: one(log(4), 'e-folds', 0.2, 3, 'Rated 2: three quarters go.'),
  removalRating3: one(log(10), 'e-folds', 0.4, 5, 'Rated 3: nine tenths go.'),
  removalRating4: one(log(33), 'e-folds', 0.8, 7, 'Rated 4: all but a thirtieth goes.'),
  strengthExponent: one(0.6, '', 0, 1.5, 'Twice the strength does not clean twice as well.'),
  q10: one(1.5, '', 1, 3, 'Ten degrees warmer, about half as fast again.'),
  mechanicsNone: one(0.4, 'factor', 0.05, 1, 'Where no tool reaches, the chemistry is alone.'),
  mechanicsSoft: one(1, 'factor', 0.3, 2, 'Soft brush or mitt: what ratings are given for.'),
  mechanicsStiff: one(1.4, 'factor', 0.5, 3, 'A stiff brush on rubber or liner.'),
  mechanicsClay: one(2, 'factor', 1, 4, 'Clay shears bonded soil off.'),
  ironOverFilm: one(0.25, 'factor', 0, 1, 'Iron remover reaches only the top layer while film is above grade 1.'),
  secondRoundShare: one(0.5, 'share', 0, 1, 'A second round of the same wash is worth about half its rating.'),
  touchSoft: one(0.3, 'points', 0, 2, 'Rubbing dust over a dark, soft or bare finish, for each amount that is left.'),
  touchHard: one(0.06, 'points', 0, 2, 'The same on sound, hard lacquer.'),
  anotherRecipePoints: one(1.5, 'points', 0, 10, 'A second recipe on one vehicle is a bottle to mix up.'),
  anotherRecipeSeconds: one(90, 's', 0, 600, 'Another bottle or bucket to make ready and carry.'),
  onWetWheel: one(0.88, 'factor', 0.3, 1, 'Water on the wheel thins what is sprayed on it.'),
  removalBand: one(0.35, 'share', 0, 1, 'How far a rating may be off on a given day, up or down.'),
  targetSlack: one(1.25, 'factor', 1, 2, 'Ratings are not known finer: no second wash for a quarter more than the target.'),
  targetMaintained: one(0.5, 'amount', 0.05, 0.95, 'Half of a light grade: nobody sees it.'),
  targetDecontaminated: one(0.5, 'amount', 0.05, 0.95, 'Half of a light grade: the look finds the rest.'),

  // What a wash takes off protection that is there.
  wearHardly: one(0.01, 'share', 0, 0.5, 'A hundred such washes for a sealant.'),
  wearSome: one(0.1, 'share', 0, 1, 'About ten such washes for a sealant.'),
  wearStrips: one(0.85, 'share', 0, 1, 'Little is left after one.'),
  wearOnCoating: one(0.1, 'factor', 0, 1, 'A ceramic coating stands ten times as much.'),
  wearOnWax: one(2, 'factor', 1, 5, 'A wax goes twice as fast as a sealant.'),
  wearTouch: one(0.003, 'share', 0, 0.1, 'One pass with mitt or brush rubs a little off a sealant.'),
  wearUsualWash: one(0.03, 'share', 0, 0.5, 'An ordinary wash of which no more is known.'),

  // What uses protection up between the washes, and how looks are read.
  lifeQuickDetailer: one(14, 'days', 1, 365, 'By days alone; a wash or two end it sooner.'),
  lifeSprayRinseSilica: one(60, 'days', 1, 1000, 'By days alone.'),
  lifeSprayWax: one(95, 'days', 1, 1000, 'By days alone.'),
  lifeSpraySealant: one(190, 'days', 1, 2000, 'By days alone.'),
  lifeWheelWax: one(110, 'days', 1, 1000, 'By days alone; hot months and brakes shorten it.'),
  lifeCeramicCoating: one(1100, 'days', 1, 5000, 'By days alone, some three years.'),
  lifeCoatingTopper: one(140, 'days', 1, 1000, 'By days alone.'),
  lifeMatteSealant: one(160, 'days', 1, 2000, 'By days alone.'),
  lifeTyreDressingWater: one(14, 'days', 1, 365, 'Weather washes it out.'),
  lifeTyreDressingSolvent: one(28, 'days', 1, 365, 'Holds twice as long as one of water.'),
  lifeTyreCoating: one(150, 'days', 1, 2000, 'By days alone.'),
  lifeLinerDressing: one(60, 'days', 1, 1000, 'Spray and grit take it.'),
  lifeDiscInhibitor: one(6, 'days', 1, 100, 'Gone with the first stops.'),
  secondCoatLife: one(1.25, 'factor', 1, 3, 'A second coat fills what the first left, and no more.'),
  rearWearShare: one(0.45, 'share', 0, 2, 'Rears carry less dust and heat.'),
  winterWear: one(1.5, 'factor', 0.5, 5, 'Salt and wet roads.'),
  saltFew: one(0.85, 'factor', 0.3, 2, 'Winters where salt is seldom laid.'),
  saltMuch: one(1.25, 'factor', 0.5, 4, 'Salt for weeks, or a coast road.'),
  garageWear: one(0.85, 'factor', 0.2, 2, 'Under a roof there is less sun, dew and rain.'),
  storedWear: one(0.1, 'factor', 0, 1, 'A wheel in the rack hardly ages.'),
  coveredWear: one(0.25, 'factor', 0, 1, 'A topper takes the wear first; a quarter reaches the coating.'),
  setWearSpread: one(0.35, 'log', 0.05, 1, 'Cars differ by a third up and down in how fast they use protection up.'),
  productWearSpread: one(0.3, 'log', 0.05, 1, 'Products of a kind differ nearly as much.'),
  axleWearSpread: one(0.35, 'log', 0.05, 1, 'One axle wears by a third more or less than dust explains: a dragging brake, kerbs, other tyres.'),
  lookSpread: one(0.11, 'share', 0.02, 0.5, 'Two people looking at one wheel are half a grade apart.'),
  clogPerWeek: one(0.03, 'share', 0, 0.5, 'Film and minerals hide so much more each week.'),
  clogWinterPerWeek: one(0.08, 'share', 0, 0.5, 'In winter nearly three times as much.'),
  clogLeftByWash: one(0.6, 'share', 0, 1, 'An ordinary wash leaves over half of what clogs.'),
  decontaminationDays: one(182, 'days', 14, 2000, 'About twice a year.'),
  wheelsOffDays: one(182, 'days', 14, 2000, 'About twice a year, after winter at the latest.'),
  torqueFirstKilometres: one(50, 'km', 5, 500, 'Nuts have settled by then.'),
  torqueLastKilometres: one(100, 'km', 10, 1000, 'Later a loose one has done its harm.'),
  resinGramsPerLitre: one(25, 'g/l', 1, 100, 'Dissolved solids that a litre of mixed resin takes up.'),
  clogMost: one(0.7, 'share', 0.1, 0.95, 'Some beading is left however clogged it is.'),

  // What things are worth against each other in the balanced plan.
  minuteValueMinor: one(60, 'minor units/min', 0, 1000, 'Half an hour of hands at 18.00.'),
  renewalValueMinor: one(900, 'minor units/wheel', 0, 50_000, 'Product and minutes to put the protection on again.'),
  riskValueMinor: one(250, 'minor units', 0, 10_000, 'What one thing that asks for care is worth avoiding.'),

  // Dirt expected since the last clean, per 1000 km on a front wheel with ordinary pads.
  dustPer1000Km: one(1.6, 'amount', 0, 10, 'A clear grade after some 1200 km.'),
  bondedPer1000Km: one(0.55, 'amount', 0, 10, 'Dust that stays long enough bites in.'),
  filmPer1000Km: one(0.9, 'amount', 0, 10, 'Road film grows with the road, not the brake.'),
  rearDustShare: one(0.45, 'share', 0, 2, 'Rears brake less.'),
  winterFilmFactor: one(1.8, 'factor', 1, 5, 'Salt water carries film onto everything.'),
  reorderShare: one(0.25, 'share', 0, 1, 'A quarter of a pack lasts until the next parcel.'),
  mixedBottleDays: one(60, 'days', 1, 1000, 'Thinned product settles and loses its bite.'),
  browningPerMonth: one(0.8, 'amount', 0, 5, 'Browning comes with days and old dressing.'),
} as const satisfies Record<string, Estimate> // prettier-ignore

export type EstimateId = keyof typeof houseEstimates
export const estimateIds = Object.keys(houseEstimates) as EstimateId[]

/** What a shop has set in place of the house's values. */
export type OwnEstimates = Partial<Record<EstimateId, number>>

/** The value that holds for this shop. */
export const estimate = (id: EstimateId, own: OwnEstimates): number => own[id] ?? houseEstimates[id].value
