import type { ClogState } from '@/core/protection/clogState'
import { beads } from '@/core/protection/kinds'
import type { SetForecast } from '@/core/protection/setForecast'
import { layerId, type SetFacts } from '@/core/protection/setHistory'
import { millisecondsPerDay } from './dueItem'

/** What a look has moved of one layer. */
export interface LookEffect {
  readonly productName: string
  readonly axle: 'front' | 'rear'
  /** Days by which the top-up moved; below zero is sooner. */
  readonly movedDays: number
  readonly topUpAt: Date
  /** How much narrower the band is, days; below zero: wider. */
  readonly narrowerDays: number
  /** Nothing of it is left: no top-up comes any more. */
  readonly isGone: boolean
  /** What it says of film and minerals, where that is news. */
  readonly clog: ClogState['kind']
}

const width = ({ p10, p90 }: { readonly p10: Date; readonly p90: Date }): number =>
  p90.getTime() - p10.getTime()
const inDays = (milliseconds: number): number => Math.round(milliseconds / millisecondsPerDay)

/** What changed between two forecasts of a set, layer by layer; only what a person would notice. */
export function saidOfLook(
  before: SetForecast['layers'] | undefined,
  after: SetForecast['layers'] | undefined,
  facts: SetFacts | undefined,
): LookEffect[] {
  if (!after || !facts) return []
  const old = new Map(before?.map((layer) => [layer.id, layer]) ?? [])
  const named = new Map(facts.layers.map((layer) => [layerId(facts.id, layer), layer]))
  return after.flatMap((layer): LookEffect[] => {
    const was = old.get(layer.id)
    const of = named.get(layer.id)
    if (!was || !of || !beads(of.kind)) return []
    const isGone = layer.clog.kind === 'gone'
    const isNews = layer.clog.kind !== was.clog.kind || layer.looks !== was.looks
    const clog = isNews || isGone ? layer.clog.kind : 'clear'
    const effect: LookEffect = {
      productName: of.productName,
      axle: of.axle,
      movedDays: inDays(layer.topUp.p50.getTime() - was.topUp.p50.getTime()),
      topUpAt: layer.topUp.p50,
      narrowerDays: inDays(width(was.topUp) - width(layer.topUp)),
      isGone,
      clog,
    }
    return layer.looks !== was.looks || Math.abs(effect.movedDays) >= 1 ? [effect] : []
  })
}
