import type { Position } from '@/core/wheel/position'

/** Where a wheel stands, in car lengths from the front left one: across, along. */
const spots: Record<Position, readonly [number, number]> = {
  front: [0.5, 0],
  rear: [0.5, 1],
  frontLeft: [0, 0],
  frontRight: [1, 0],
  rearRight: [1, 1],
  rearRightInner: [0.85, 1],
  rearLeftInner: [0.15, 1],
  rearLeft: [0, 1],
  thirdRight: [1, 1.4],
  thirdLeft: [0, 1.4],
}

/** Seconds from one wheel to another, round the vehicle. */
export function walkSecondsBetween(from: Position, to: Position, besideSeconds: number): number {
  if (from === to) return 0
  const [a, b] = [spots[from], spots[to]]
  return Math.max(1, Math.round(besideSeconds * (Math.abs(a[0] - b[0]) + Math.abs(a[1] - b[1]))))
}
