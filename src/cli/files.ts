import { reasonOf } from '@/core/reasonOf'
import { readFileSync } from 'node:fs'
import type { Problem } from '@/core/result'

/** One line a problem: where, what was found, how to mend it. Exit code 2. */
export function refuse(problems: readonly Problem[]): never {
  for (const { path, found, mend } of problems) {
    process.stderr.write(
      `${path === '' || path.startsWith('[') ? `$${path}` : `$.${path}`}: found ${found}. ${mend}\n`,
    )
  }
  process.exit(2)
}

/** The text of a file, or of standard input for `-`; a file that cannot be read ends the command with code 2. */
export function readInput(name: string): string {
  try {
    return readFileSync(name === '-' ? 0 : name, 'utf8')
  } catch (error) {
    const reason = reasonOf(error)
    process.stderr.write(`Cannot read ${name === '-' ? 'standard input' : name}: ${reason}\n`)
    process.exit(2)
  }
}
