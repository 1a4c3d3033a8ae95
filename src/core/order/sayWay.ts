import { message, type Message } from '@/core/message/message'
import { term } from '@/core/message/term'
import { axleOf, type Position } from '@/core/wheel/position'
import type { WayName } from './walks'

type Place = Position | 'vehicle'

/** Of two wheels there is only the one and the other: no circle, no axles. */
function wayOfTwo(walks: readonly (readonly Place[])[]): Message | null {
  const places = walks.flat()
  const [first, second] = places
  if (places.length !== 2 || !first || !second || first === 'vehicle' || second === 'vehicle') return null
  if (walks.length === 1) return message('order.way.oneThenOther', { wheel: term('wheel', first) })
  return axleOf(first) === axleOf(second) ? null : message('order.way.frontAndRear')
}

/**
 * The way round the wheels.
 * @param walks the places in the order they are worked; where two work, one list for each
 */
export function sayWay(name: WayName, walks: readonly (readonly Place[])[]): Message {
  const start = walks[0]?.[0] ?? 'vehicle'
  const ofTwo = wayOfTwo(walks)
  if (ofTwo) return ofTwo
  switch (name) {
    case 'clockwise':
      return start === 'vehicle'
        ? message('order.way.bodyClockwise')
        : message('order.way.clockwise', { wheel: term('wheel', start) })
    case 'anticlockwise':
      return start === 'vehicle'
        ? message('order.way.bodyAnticlockwise')
        : message('order.way.anticlockwise', { wheel: term('wheel', start) })
    default:
      return message(`order.way.${name}`)
  }
}
