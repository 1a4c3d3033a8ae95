/** Why the data could not be opened or written; each has its own exit code for scripts. */
export const failureExitCodes = {
  locked: 75,
  unwritable: 73,
  diskFull: 74,
  newerDatabase: 78,
  changedMigration: 78,
  damaged: 65,
  foreignData: 73,
  unreachable: 69,
  busy: 75,
  engine: 70,
} as const

export type FailureReason = keyof typeof failureExitCodes

/** A failure of the data folder itself, worded for the person in front of it. */
export class DataFailure extends Error {
  constructor(
    readonly reason: FailureReason,
    message: string,
    options?: ErrorOptions,
  ) {
    super(message, options)
    this.name = 'DataFailure'
  }

  get exitCode(): number {
    return failureExitCodes[this.reason]
  }
}

/** Known by its name, not its class: the framework bundles this module more than once. */
export const isDataFailure = (error: unknown): error is DataFailure =>
  error instanceof Error && error.name === 'DataFailure' && 'reason' in error

/** Turns a file-system error into its plain reason; null for anything else. */
export function failureOfFileError(error: unknown, folder: string): DataFailure | null {
  const code = (error as { code?: string } | null)?.code
  if (code === 'ENOSPC' || code === '53100') {
    return new DataFailure(
      'diskFull',
      `The disk with ${folder} is full. Nothing was changed; free some space and try again.`,
      { cause: error },
    )
  }
  if (code === 'EACCES' || code === 'EPERM' || code === 'EROFS' || code === 'ENOTDIR' || code === 'EEXIST') {
    return new DataFailure(
      'unwritable',
      `The data folder ${folder} cannot be written (${code}). Choose another with EVEN_SPOKE_DATA=FOLDER or mend its permissions.`,
      { cause: error },
    )
  }
  return null
}
