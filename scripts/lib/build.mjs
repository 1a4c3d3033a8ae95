import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { bin, must, node, root, say } from './run.mjs'

const sources = ['src', 'messages', 'public', 'next.config.ts', 'package-lock.json', 'tsconfig.json']
const stampFile = join(root, '.next', 'even-spoke-sources')
export const poolFile = join(root, '.next', 'even-spoke-pool.mjs')
export const backupThreadFile = join(root, '.next', 'even-spoke-backup.mjs')
const offlineFile = join(root, 'public', 'sw.js')

function* filesBelow(path) {
  if (!existsSync(path)) return
  let entries
  try {
    entries = readdirSync(path, { withFileTypes: true })
  } catch {
    yield path
    return
  }
  for (const entry of entries.sort((a, b) => a.name.localeCompare(b.name))) {
    const inner = join(path, entry.name)
    if (entry.isDirectory()) yield* filesBelow(inner)
    else if (!/\.test\.tsx?$/.test(entry.name) && inner !== offlineFile) yield inner
  }
}

function sourcesHash() {
  const hash = createHash('sha256')
  for (const source of sources) {
    for (const file of filesBelow(join(root, source)))
      hash.update(relative(root, file)).update('\0').update(readFileSync(file))
  }
  return hash.digest('hex')
}

/** What stands between the pages and the network is a file of its own, too. */
async function buildOffline() {
  const { build } = await import('esbuild')
  await build({
    absWorkingDir: root,
    entryPoints: ['src/offline/worker.ts'],
    outfile: offlineFile,
    bundle: true,
    minify: true,
    platform: 'browser',
    format: 'iife',
    target: 'es2022',
    define: { 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  })
}

/** Threads run the same files as everything else, each kind in one file of its own. */
async function buildThread(entry, outfile) {
  const { build } = await import('esbuild')
  await build({
    absWorkingDir: root,
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    logLevel: 'warning',
  })
}

/** Builds the application, unless the last build was made from the very same sources. */
export async function ensureBuilt() {
  const wanted = sourcesHash()
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === wanted) {
    say('The build is up to date.')
    return
  }
  say('Building (half a minute) …')
  await buildOffline()
  await must('The build', node([bin.next, 'build']))
  await buildThread('src/pool/pool.worker.ts', poolFile)
  await buildThread('src/data-commands/backup.worker.ts', backupThreadFile)
  writeFileSync(stampFile, wanted)
}
