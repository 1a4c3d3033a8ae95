import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { must, root, run, say } from './run.mjs'

const stampFile = join(root, 'node_modules', '.even-spoke-install')
const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')

/** Installs the packages of the lock file, once per state of it. */
export async function ensureInstalled() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 9)) {
    process.stderr.write(`Even Spoke needs Node.js 20.9 or newer; this is ${process.versions.node}.\n`)
    process.exit(1)
  }
  const wanted = lockHash()
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === wanted) return
  say('Installing packages (once) …')
  await must('npm ci', run('npm', ['ci', '--include=dev', '--no-audit', '--no-fund']))
  writeFileSync(stampFile, wanted)
}
