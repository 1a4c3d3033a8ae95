import type { Pattern } from '@/core/patterns/pattern'
import { axleOf, type Position } from '@/core/wheel/position'

/** Once round the vehicle, from the front left on. */
const circle: readonly Position[] = [
  'front', 'frontLeft', 'frontRight', 'rearRight', 'rearRightInner', 'thirdRight', 'thirdLeft', 'rearLeftInner', 'rearLeft', 'rear',
] // prettier-ignore

const isLeft = (position: Position): boolean => /left/i.test(position)

/** What a way round the wheels is called. */
export type WayName =
  | 'clockwise'
  | 'anticlockwise'
  | 'frontsFirst'
  | 'leftFirst'
  | 'rightFirst'
  | 'sides'
  | 'sidesOpposite'
  | 'axles'
  | 'axlesAround'

/** A way round the wheels and what it is called. */
export interface Walk {
  /** As places of the problem; where two work, one for each. */
  readonly walks: Pattern['walks']
  readonly name: WayName
}

/**
 * The ways round a vehicle that people keep in mind: in a circle, axle by axle, side by side; where two work, a share each.
 * @param places the positions that are worked, as they stand in the problem
 */
export function walksOf(places: readonly (Position | 'vehicle')[], people: number): Walk[] {
  const wheels = circle.filter((position) => places.includes(position))
  const at = (list: readonly Position[]): number[] => list.map((position) => places.indexOf(position))
  const [left, right] = [wheels.filter(isLeft), wheels.filter((one) => !isLeft(one))]
  const [front, rear] = [
    wheels.filter((one) => axleOf(one) === 'front'),
    wheels.filter((one) => axleOf(one) === 'rear'),
  ]
  const known = new Set<string>()
  const once = (walks: readonly Walk[]): Walk[] =>
    walks.filter(({ walks: own }) => {
      const name = own.join('/')
      if (known.has(name) || own.some((walk) => walk.length === 0)) return false
      known.add(name)
      return true
    })
  if (people > 1)
    return once([
      { walks: [at(byAxle(left)), at(byAxle(right))], name: 'sides' },
      { walks: [at(byAxle(left)), at([...byAxle(right)].reverse())], name: 'sidesOpposite' },
      { walks: [at(front), at(rear)], name: 'axles' },
      { walks: [at(front), at([...rear].reverse())], name: 'axlesAround' },
    ])
  const turns = wheels.map((_, start) => [...wheels.slice(start), ...wheels.slice(0, start)])
  return once([
    ...turns.map((walk): Walk => ({ walks: [at(walk)], name: 'clockwise' })),
    ...turns.map((walk): Walk => ({ walks: [at([...walk].reverse())], name: 'anticlockwise' })),
    {
      walks: [at([...front, ...rear.filter(isLeft), ...rear.filter((one) => !isLeft(one))])],
      name: 'frontsFirst',
    },
    { walks: [at([...byAxle(left), ...byAxle(right)])], name: 'leftFirst' },
    { walks: [at([...byAxle(right), ...byAxle(left)])], name: 'rightFirst' },
  ])
}

const byAxle = (side: readonly Position[]): Position[] => [
  ...side.filter((one) => axleOf(one) === 'front'),
  ...side.filter((one) => axleOf(one) === 'rear'),
]
