import { fail, failWith, succeed, showFound, type Result } from '@/core/result'

/** Litres a minute: what the washer delivers, and what the lance draws from its bottle. */
export interface LanceFlow {
  readonly washerLitresPerMinute: number
  readonly drawLitresPerMinute: number
}

/** Strength that reaches the wheel: c_s = c_b · q/(Q+q). */
export function lanceSurfaceFraction(bottleFraction: number, flow: LanceFlow): number {
  const { washerLitresPerMinute: washer, drawLitresPerMinute: draw } = flow
  return (bottleFraction * draw) / (washer + draw)
}

/** Bottle strength for a wanted strength at the wheel: c_b = c_s · (Q+q)/q; above 1 no bottle can do it. */
export function lanceBottleFraction(surfaceFraction: number, flow: LanceFlow): Result<number> {
  const { washerLitresPerMinute: washer, drawLitresPerMinute: draw } = flow
  const bottle = (surfaceFraction * (washer + draw)) / draw
  if (bottle <= 1) return succeed(bottle)
  const strongest = draw / (washer + draw)
  return fail({
    path: 'surfaceFraction',
    found: `${(surfaceFraction * 100).toFixed(1)} %`,
    mend: `This lance reaches at most ${(strongest * 100).toFixed(1)} % at the wheel, even with neat product in the bottle. Open its mixing valve, or spray by hand.`,
  })
}

/** Draw of a lance from the time a known volume takes to empty, in litres a minute. */
export function calibrateLance(bottleMillilitres: number, emptiedSeconds: number): Result<number> {
  const problems = [
    ...(bottleMillilitres >= 50 && bottleMillilitres <= 5000
      ? []
      : [
          {
            path: 'bottleMillilitres',
            found: showFound(bottleMillilitres),
            mend: 'Give the volume that was in the bottle, 50 to 5000 ml.',
          },
        ]),
    ...(emptiedSeconds >= 5 && emptiedSeconds <= 3600
      ? []
      : [
          {
            path: 'emptiedSeconds',
            found: showFound(emptiedSeconds),
            mend: 'Give the time until the bottle was empty, 5 to 3600 seconds.',
          },
        ]),
  ]
  return problems.length > 0
    ? failWith(problems)
    : succeed((bottleMillilitres / 1000) * (60 / emptiedSeconds))
}
