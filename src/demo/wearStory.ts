import { randomUUID } from 'node:crypto'
import { beads, type ProtectionKind } from '@/core/protection/kinds'
import type { WornWash } from '@/core/protection/record'
import { axleOf, type Axle, type Position } from '@/core/wheel/position'
import type { StoredLook } from '@/data/queries/looks'
import type { DemoWear } from './readDemoFiles'
import { seenGrade } from './seenGrade'

interface On {
  readonly kind: ProtectionKind
  readonly productName: string
  readonly appliedAt: Date
  readonly kilometresPerWeek: number
}

/** Two visits of three have time for a look. */
const looksEvery = 3
/** Before anything new goes on, milliseconds before a visit ends. */
const beforeTheEnd = 1_800_000
const axles: readonly Axle[] = ['front', 'rear']

/** Follows what is on the demo's wheels from visit to visit, and tells what a look shows. */
export class WearStory {
  private readonly on = new Map<string, On>()
  private readonly washes = new Map<string, WornWash[]>()
  private visits = 0

  /**
   * @param cloggedFrom film hides what is on the clogged sets from then on
   */
  constructor(
    private readonly wear: DemoWear,
    private readonly cloggedFrom: Date,
  ) {}

  washed(key: string, wash: WornWash): void {
    this.washes.set(key, [...(this.washes.get(key) ?? []), wash])
  }

  putOn(
    key: string,
    kind: ProtectionKind,
    productName: string,
    kilometresPerWeek: number,
    appliedAt: Date,
  ): void {
    if (beads(kind)) this.on.set(key, { kind, productName, appliedAt, kilometresPerWeek })
  }

  /** What a look at a visit shows, by axle; none where nothing is on, or nobody looked. */
  looksAt(key: string, positions: readonly Position[], at: Date, afterReviving: boolean): StoredLook[] {
    this.visits += 1
    const on = this.on.get(key)
    if (!on || this.visits % looksEvery === 0) return []
    const { truth, clogged } = this.wear
    return axles.flatMap((axle, index): StoredLook[] => {
      const own = positions.filter((position) => axleOf(position) === axle)
      if (own.length === 0) return []
      const seen = seenGrade(
        {
          axle,
          ...on,
          washes: (this.washes.get(key) ?? []).filter((wash) => wash.at > on.appliedAt),
          faster: truth.sets[key] ?? 1,
          longer: truth.products[on.productName] ?? 1,
        },
        at,
        this.visits + index,
      )
      return [
        {
          id: randomUUID(),
          positions: own,
          at: new Date(at.getTime() - beforeTheEnd),
          beading: clogged.includes(key) && at > this.cloggedFrom ? 1 : seen,
          release: null,
          slickness: null,
          glossUnits: null,
          afterReviving,
        },
      ]
    })
  }
}
