import { message, type Said } from '@/core/message/message'
import type { Problem } from '@/core/result'
import { printError } from '@/i18n/terminal'

/** Says what was refused, field by field. @returns the exit code for that */
export function printProblems(problems: readonly Problem<Said>[]): number {
  for (const { path, found, fix } of problems)
    printError(message('commands.problem', { path: path || 'file', found, fix }))
  return 2
}
