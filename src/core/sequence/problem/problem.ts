/** One piece of work that one person does without a break. */
export interface Operation {
  /** Where it stands in the list of operations: 0, 1, 2 … */
  readonly id: number
  /** Index of the place (a wheel, or the vehicle as a whole) it is done at. */
  readonly place: number
  readonly name: string
  readonly durationSeconds: number
  /** What is held while doing it; changing it takes time. */
  readonly tool: string
}

/** start(to) − end(from) lies between `minSeconds` and `maxSeconds`; null: no upper limit. */
export interface Lag {
  readonly from: number
  readonly to: number
  readonly minSeconds: number
  readonly maxSeconds: number | null
  readonly why: string
}

/** A person at the moment the sequence starts. */
export interface PersonStart {
  /** Not before this, seconds from the start. */
  readonly availableAtSeconds: number
  /** Null: comes fresh, the first walk is free. */
  readonly place: number | null
  readonly tool: string | null
}

/** What is to be put in order: project scheduling with minimum and maximum time lags, one or two people, setups between operations. */
export interface SequenceProblem {
  readonly places: readonly string[]
  readonly operations: readonly Operation[]
  readonly lags: readonly Lag[]
  readonly people: number
  /** How many may work at one place at once. */
  readonly peoplePerPlace: number
  /** Of these there is one only: a washer gun, a brush. */
  readonly singleTools: readonly string[]
  readonly walkSeconds: readonly (readonly number[])[]
  readonly toolChangeSeconds: number
  /** Operations that are over, with the second they ended (0 is the start, so mostly negative). */
  readonly done?: ReadonlyMap<number, number>
  readonly peopleAtStart?: readonly PersonStart[]
}

/** An order of work with its clock. */
export interface Schedule {
  /** End of the last operation, seconds from the start. */
  readonly makespanSeconds: number
  /** Per operation; done ones keep the second they began. */
  readonly startSeconds: readonly number[]
  /** Per operation, the person who does it; −1 for what is already done. */
  readonly person: readonly number[]
}

/** Walk and tool change between two operations of one person, seconds. */
export const setupSeconds = (
  problem: SequenceProblem,
  from: { readonly place: number; readonly tool: string },
  to: { readonly place: number; readonly tool: string },
): number =>
  (problem.walkSeconds[from.place]?.[to.place] ?? 0) + (from.tool === to.tool ? 0 : problem.toolChangeSeconds)
