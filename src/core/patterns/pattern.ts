/** How many wheels behind its turn a block of moves is worked; 'round': when all wheels have had the block before it. */
export type Behind = number | 'round'

/** A coming to a wheel: the moves from one on, and how it follows the coming before it. */
export interface Block {
  /** Index of its first move; it goes up to the next block. */
  readonly move: number
  /** Wheels later than the block before it. */
  readonly behind: Behind
}

/**
 * The same moves at every wheel: a walk, the comings to a wheel, and how the wheels overlap. A cyclic schedule, in the terms of
 * scheduling: each turn begins one wheel more and works every block once, at the wheel whose turn it is.
 */
export interface Pattern {
  /** Wheels in the order they are walked, as places; where two work, a walk for each. */
  readonly walks: readonly (readonly number[])[]
  /** The blocks in the order of the moves; the first begins at move 0. */
  readonly blocks: readonly Block[]
  /** The blocks in the order in which a turn works them, as indexes. */
  readonly turn: readonly number[]
}
