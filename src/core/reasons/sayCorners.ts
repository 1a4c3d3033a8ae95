import { message, type Message } from '@/core/message/message'
import { terms } from '@/core/message/term'
import { inWalkingOrder, type Position } from '@/core/wheel/position'

/** How a person names a group of wheels. */
export type CornersKind = 'one' | 'all' | 'fronts' | 'rears' | 'outer' | 'some'

/** What some wheels are, of all that are worked. */
export function kindOfCorners(corners: readonly Position[], all: readonly Position[]): CornersKind {
  if (corners.length === all.length) return all.length === 1 ? 'one' : 'all'
  const same = (group: readonly Position[]): boolean =>
    group.length > 0 &&
    group.length === corners.length &&
    group.every((position) => corners.includes(position))
  if (same(all.filter((position) => position.startsWith('front')))) return 'fronts'
  if (same(all.filter((position) => !position.startsWith('front')))) return 'rears'
  const outer = all.filter((position) => !position.endsWith('Inner'))
  return outer.length < all.length && same(outer) ? 'outer' : 'some'
}

/** Words for some wheels in one of three forms. */
function sayAs(
  form: 'on' | 'the' | 'short',
  corners: readonly Position[],
  all: readonly Position[],
): Message {
  const kind = kindOfCorners(corners, all)
  switch (kind) {
    case 'fronts':
    case 'rears':
      return message(`reasons.corners.${form}.${kind}`, { count: corners.length })
    case 'some':
      return message(`reasons.corners.${form}.some`, {
        wheels: terms(
          'wheel',
          inWalkingOrder(corners.map((position) => ({ position }))).map(({ position }) => position),
        ),
      })
    default:
      return message(`reasons.corners.${form}.${kind}`)
  }
}

/** Where something is done: "all round", "on the fronts only". */
export const sayWhere = (corners: readonly Position[], all: readonly Position[]): Message =>
  sayAs('on', corners, all)

/** Wheels as they stand after a preposition: "the front wheels", "all wheels". */
export const sayWheels = (corners: readonly Position[], all: readonly Position[]): Message =>
  sayAs('the', corners, all)

/** Wheels in a word or two: "fronts", "all round". */
export const sayShortly = (corners: readonly Position[], all: readonly Position[]): Message =>
  sayAs('short', corners, all)
