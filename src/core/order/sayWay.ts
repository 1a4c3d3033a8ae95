import { message, type Message } from '@/core/message/message'
import { term } from '@/core/message/term'
import type { Position } from '@/core/wheel/position'
import type { WayName } from './walks'

/**
 * The way round the wheels.
 * @param start where it begins, for ways in a circle
 */
export function sayWay(name: WayName, start: Position | 'vehicle'): Message {
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
