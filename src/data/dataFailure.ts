import { message, type Message } from '@/core/message/message'
import { shopSay } from '@/i18n/shopSay'
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

/** A failure of the data folder itself, for the person in front of it; as an error it says so in the language of the shop. */
export class DataFailure extends Error {
  constructor(
    readonly reason: FailureReason,
    readonly said: Message,
    options?: ErrorOptions,
  ) {
    super(shopSay()(said), options)
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
    return new DataFailure('diskFull', message('data.full', { folder }), { cause: error })
  }
  if (code === 'EACCES' || code === 'EPERM' || code === 'EROFS' || code === 'ENOTDIR' || code === 'EEXIST') {
    return new DataFailure('unwritable', message('data.unwritable', { folder, code }), { cause: error })
  }
  return null
}
