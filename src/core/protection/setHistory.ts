import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import { axleOf, type Axle, type Position } from '@/core/wheel/position'
import { drivenBy, type OdometerReading } from './drivenBy'
import { beads, protectionFacts, type ProtectionKind } from './kinds'
import type { DrivenSince, LookGrade, SetRecord, Stored, WornLayer, WornLook, WornWash } from './record'
import { storedPeriods, type WheelChange } from './wheelChange'

/** What was put on the wheels of one axle in one go. */
export interface LayerFacts {
  readonly axle: Axle
  readonly positions: readonly Position[]
  readonly kind: ProtectionKind
  readonly productName: string
  readonly appliedAt: Date
  /** Null: it is still on. */
  readonly endedAt: Date | null
  readonly coats: number
}

export interface LookFacts {
  readonly at: Date
  readonly positions: readonly Position[]
  readonly beading: LookGrade
  readonly release: LookGrade | null
  readonly slickness: LookGrade | null
  readonly afterReviving: boolean
}

export interface WashFacts {
  readonly at: Date
  /** Share of a sealant's life it took; null: not known. */
  readonly wear: number | null
  readonly reviving: boolean
}

/** Everything on record of a wheel set that its protection depends on. */
export interface SetFacts {
  readonly id: string
  readonly parked: 'garage' | 'street' | null
  readonly season: 'winter' | 'summer' | null
  /** Brake dust against ordinary pads and discs. */
  readonly dustFactor: { readonly front: number; readonly rear: number }
  /** In order of time, the first holding before it, too. */
  readonly told: readonly DrivenSince[]
  readonly readings: readonly OdometerReading[]
  readonly changes: readonly WheelChange[]
  /** The vehicle has no other set. */
  readonly isOnlySet: boolean
  readonly layers: readonly LayerFacts[]
  readonly washes: readonly WashFacts[]
  readonly looks: readonly LookFacts[]
}

/** Layers of one name, kind and day on one axle of a set are one. */
export const layerId = (
  setId: string,
  { axle, kind, productName, appliedAt }: Pick<LayerFacts, 'axle' | 'kind' | 'productName' | 'appliedAt'>,
): string => [setId, axle, kind, appliedAt.getTime(), productName].join(' ')

/** Two products of one name may be of different kinds. */
export const productId = ({ kind, productName }: Pick<LayerFacts, 'kind' | 'productName'>): string =>
  `${kind} ${productName}`

/** When toppers lay over a coating: until they ended, or would have by days alone. */
function coveredBy(
  coating: LayerFacts,
  layers: readonly LayerFacts[],
  overrides: EstimateOverrides,
): Stored[] {
  const lifeMilliseconds = estimate('lifeCoatingTopper', overrides) * 86_400_000
  const toppers = layers
    .filter(
      ({ kind, axle, appliedAt }) =>
        kind === 'coatingTopper' &&
        axle === coating.axle &&
        appliedAt >= coating.appliedAt &&
        (coating.endedAt === null || appliedAt < coating.endedAt),
    )
    .sort((a, b) => a.appliedAt.getTime() - b.appliedAt.getTime())
  return toppers.map(({ appliedAt, endedAt }, index) => {
    const worn = new Date(appliedAt.getTime() + lifeMilliseconds)
    const ends = [endedAt ?? worn, worn, toppers[index + 1]?.appliedAt ?? worn]
    return { from: appliedAt, to: ends.reduce((first, end) => (end < first ? end : first)) }
  })
}

/** Layers that looks can be at, those put on last first; a topper lies over what was put on with it. */
const lookedAt = (layers: readonly LayerFacts[]): LayerFacts[] =>
  layers
    .filter(({ kind }) => beads(kind))
    .sort(
      (a, b) =>
        b.appliedAt.getTime() - a.appliedAt.getTime() ||
        Number(b.kind === 'coatingTopper') - Number(a.kind === 'coatingTopper'),
    )

/** What a look was at: of all that was on those wheels before it, what was put on last. */
const seenLayer = (look: LookFacts, axle: Axle, lastFirst: readonly LayerFacts[]): LayerFacts | undefined =>
  lastFirst.find(
    (layer) =>
      layer.axle === axle &&
      layer.appliedAt < look.at &&
      (layer.endedAt === null || layer.endedAt >= look.at) &&
      layer.positions.some((position) => look.positions.includes(position)),
  )

const byTime = (a: { readonly at: Date }, b: { readonly at: Date }): number => a.at.getTime() - b.at.getTime()

/** The record the forecast reads, from everything known of a set. */
export function setRecordOf(facts: SetFacts, overrides: EstimateOverrides): SetRecord {
  const { id, layers } = facts
  const worn = layers.map((layer): WornLayer => {
    const covered = layer.kind === 'ceramicCoating' ? coveredBy(layer, layers, overrides) : []
    return {
      id: layerId(id, layer),
      setId: id,
      axle: layer.axle,
      productId: productId(layer),
      appliedAt: layer.appliedAt,
      endedAt: layer.endedAt,
      ...(layer.coats > 1 ? { lifeFactor: estimate('secondCoatLife', overrides) } : {}),
      ...(covered.length > 0 ? { covered } : {}),
    }
  })
  const lastFirst = lookedAt(layers)
  const looks = facts.looks.flatMap((look): WornLook[] =>
    [...new Set(look.positions.map(axleOf))].flatMap((axle): WornLook[] => {
      const layer = seenLayer(look, axle, lastFirst)
      return layer
        ? [
            {
              at: look.at,
              layerId: layerId(id, layer),
              beading: look.beading,
              ...(look.release === null ? {} : { release: look.release }),
              ...(look.slickness === null ? {} : { slickness: look.slickness }),
              afterReviving: look.afterReviving,
            },
          ]
        : []
    }),
  )
  return {
    set: {
      id,
      ...drivenBy(facts.told, facts.readings),
      dustFactor: facts.dustFactor.front,
      rearDustFactor: facts.dustFactor.rear,
      climate: facts.parked === 'garage' ? estimate('garageWear', overrides) : 1,
      stored: storedPeriods(id, facts.changes, facts.isOnlySet),
      ...(facts.season ? { season: facts.season } : {}),
    },
    layers: worn,
    washes: facts.washes
      .map(({ at, wear, reviving }): WornWash => ({
        at,
        setId: id,
        wear: Math.min(1, wear ?? estimate('wearUsualWash', overrides)),
        reviving,
      }))
      .sort(byTime),
    looks: looks.sort(byTime),
  }
}

/** Hours a fresh layer must be left alone. */
export const cureMilliseconds = (kind: ProtectionKind): number => protectionFacts[kind].cureHours * 3_600_000
