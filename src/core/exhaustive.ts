/** Closes a `switch` over a union: a variant left out no longer compiles. */
export function exhaustive(value: never): never {
  throw new Error(`Unhandled variant: ${JSON.stringify(value)}`)
}
