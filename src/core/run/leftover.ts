import type { Position } from '@/core/wheel/position'
import type { Stayed } from './answer'

/** What was still on a wheel when the job ended. */
export interface Leftover extends Stayed {
  readonly position: Position
}
