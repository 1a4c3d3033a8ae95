/** Wheel positions in the order a person walks round the vehicle. */
export const positions = [
  'front', 'rear',
  'frontLeft', 'frontRight',
  'rearRight', 'rearRightInner', 'rearLeftInner', 'rearLeft',
  'thirdRight', 'thirdLeft',
] as const // prettier-ignore

/** `front` and `rear` belong to two-wheelers; the inner ones to dual rear wheels; `third` to a further axle. */
export type Position = (typeof positions)[number]

/** The inner one of dual rear wheels: behind the outer one, in the same arch. */
export const isInner = (position: Position): boolean => position.endsWith('Inner')

export type Axle = 'front' | 'rear'

export const axleOf = (position: Position): Axle => (position.startsWith('front') ? 'front' : 'rear')

/** Behind the front axle: what is left first when time runs short, since fronts carry the dust. */
export const isRearmost = (position: Position): boolean => axleOf(position) === 'rear'

export const inWalkingOrder = <T extends { readonly position: Position }>(corners: readonly T[]): T[] =>
  [...corners].sort((a, b) => positions.indexOf(a.position) - positions.indexOf(b.position))

export const vehicleKinds = ['car', 'van', 'trailer', 'motorcycle', 'looseSet'] as const
export type VehicleKind = (typeof vehicleKinds)[number]

const carPositions: readonly Position[] = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight']

/** Which wheels a kind of vehicle has, before anybody says otherwise. */
export const usualPositions: Record<VehicleKind, readonly Position[]> = {
  car: carPositions,
  van: carPositions,
  trailer: ['rearLeft', 'rearRight'],
  motorcycle: ['front', 'rear'],
  looseSet: carPositions,
}

export const archLiners = ['plastic', 'fabric'] as const
/** What a wheel well is lined with: hard plastic, or carpet-like fabric that holds mud. */
export type ArchLiner = (typeof archLiners)[number]
