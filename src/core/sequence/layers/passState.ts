import type { Span } from '@/core/sequence/problem/spans'

/** How one pass goes about it. */
export interface PassState {
  readonly inTime: boolean
  readonly assigned: readonly number[] | undefined
  readonly taken: ReadonlyMap<number, readonly Span[]> | undefined
  /** 1 for a place that is left out; its limits do not count. */
  readonly hidden: Uint8Array
}
