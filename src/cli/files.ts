import { message } from '@/core/message/message'
import { printError } from '@/i18n/terminal'
import { reasonOf } from '@/core/reasonOf'
import { readFileSync } from 'node:fs'
import type { Problem } from '@/core/result'

/** One line a problem: where, what was found, how to fix it. Exit code 2. */
export function refuse(problems: readonly Problem[]): never {
  for (const { path, found, fix } of problems) {
    const place = path === '' || path.startsWith('[') ? `$${path}` : `$.${path}`
    printError(message('commands.found', { path: place, found, fix }))
  }
  process.exit(2)
}

/** The text of a file, or of standard input for `-`; a file that cannot be read ends the command with code 2. */
export function readInput(name: string): string {
  try {
    return readFileSync(name === '-' ? 0 : name, 'utf8')
  } catch (error) {
    const reason = reasonOf(error)
    printError(message('commands.unreadable', { name: name === '-' ? 'none' : name, reason }))
    process.exit(2)
  }
}
