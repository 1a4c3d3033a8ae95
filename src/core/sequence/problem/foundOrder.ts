/** Order of operations with the person of each, as found. */
export interface FoundOrder {
  readonly operations: readonly number[]
  readonly people: readonly number[]
  readonly makespanSeconds: number
}
