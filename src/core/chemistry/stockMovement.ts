/** What moves the stock of a product. */
export const movementKinds = ['bought', 'used', 'mixed', 'counted', 'corrected'] as const
export type MovementKind = (typeof movementKinds)[number]

/** Those a person enters; the others come from the work. */
export const enteredMovements = ['bought', 'counted', 'corrected'] as const satisfies readonly MovementKind[]
export type EnteredMovement = (typeof enteredMovements)[number]
