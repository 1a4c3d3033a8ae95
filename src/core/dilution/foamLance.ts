import { message } from '@/core/message/message'
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
    found: message('measures.lance.percent', { percent: surfaceFraction * 100 }),
    fix: message('measures.lance.tooThin', { percent: strongest * 100 }),
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
            fix: message('measures.lance.bottle', {
              least: { millilitres: 50 },
              most: { millilitres: 5000 },
            }),
          },
        ]),
    ...(emptiedSeconds >= 5 && emptiedSeconds <= 3600
      ? []
      : [
          {
            path: 'emptiedSeconds',
            found: showFound(emptiedSeconds),
            fix: message('measures.lance.emptied'),
          },
        ]),
  ]
  return problems.length > 0
    ? failWith(problems)
    : succeed((bottleMillilitres / 1000) * (60 / emptiedSeconds))
}
