// Everything a change must pass: formatting, lint, types, unit tests, the production build, interface tests.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from './lib/build.mjs'
import { chromiumPath } from './lib/chromium.mjs'
import { ensureInstalled } from './lib/install.mjs'
import { startPostgres } from './lib/postgres.mjs'
import { bin, must, node, root, run, say } from './lib/run.mjs'

let passed = 0
let failed = 0
const close = () => {
  say(`\n${passed} passed, ${failed} failed`)
  process.exit(failed > 0 ? 1 : 0)
}

async function check(name, promise) {
  say(`\n— ${name}`)
  const { code } = await promise
  if (code === 0) passed += 1
  else failed += 1
  return code === 0
}

async function ensureChromium() {
  if (chromiumPath()) return
  if (process.platform === 'linux' && process.getuid?.() === 0) {
    say('Installing Chromium for the interface tests (once) …')
    await must('apt-get update', run('apt-get', ['update', '-qq']))
    await must('apt-get install chromium', run('apt-get', ['install', '-y', '-qq', 'chromium']))
    if (chromiumPath()) return
  }
  process.stderr.write(
    'The interface tests need Chromium. Install it (Debian: apt-get install chromium) or name it with CHROMIUM=/path/to/chromium.\n',
  )
  process.exit(1)
}

await ensureInstalled()
await ensureChromium()

await check('formatting', node([bin.prettier, '--check', '--log-level', 'warn', '.']))
// Next writes the types of the routes; without them a fresh clone has nothing to check against.
await check('route types', node([bin.next, 'typegen']))

// Checks that only read run beside the unit tests: two cores are enough for both.
const unitReport = join(root, 'test-results', 'unit.json')
const serverReport = join(root, 'test-results', 'server.json')
/** Counts what a run of unit tests has written down. */
function count(report, code) {
  try {
    const { numPassedTests, numFailedTests } = JSON.parse(readFileSync(report, 'utf8'))
    passed += numPassedTests
    failed += numFailedTests
    if (code !== 0 && numFailedTests === 0) failed += 1
  } catch {
    failed += 1
  }
}
say('\n— unit tests; lint and types beside them')
const [unit, ...others] = await Promise.all([
  node([bin.vitest, 'run', '--reporter=dot', '--reporter=json', `--outputFile.json=${unitReport}`]),
  node([bin.eslint, '.', '--max-warnings', '0']),
  node([bin.tsc, '--noEmit', '-p', 'tsconfig.json']),
  node([bin.tsc, '--noEmit', '-p', 'src/core/tsconfig.json']),
])
const names = ['lint', 'types', 'types of the core alone']
for (const [index, name] of names.entries()) await check(name, Promise.resolve(others[index]))
count(unitReport, unit.code)

say('\n— the data on a PostgreSQL server')
const postgres = await startPostgres()
const onServer = postgres ? { EVEN_SPOKE_TEST_POSTGRES: postgres.url } : {}
if (postgres) {
  const { code } = await node(
    [
      bin.vitest,
      'run',
      'src/data/queries',
      'src/data/schema.test.ts',
      'src/services',
      '--reporter=dot',
      '--reporter=json',
      `--outputFile.json=${serverReport}`,
    ],
    { env: onServer },
  )
  count(serverReport, code)
} else say('There is no PostgreSQL server here; the data was tested on PGlite alone.')

say('\n— production build')
await ensureBuilt()
passed += 1

say('\n— interface tests')
const demo = mkdtempSync(join(tmpdir(), 'even-spoke-demo-'))
try {
  await must('Filling the demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: demo } }))
  const faces = await node([bin.playwright, 'test'], { env: { ...onServer, EVEN_SPOKE_TEST_DEMO: demo } })
  const { stats } = JSON.parse(readFileSync(join(root, 'test-results', 'interface.json'), 'utf8'))
  passed += stats.expected + stats.flaky
  failed += stats.unexpected
  if (faces.code !== 0 && stats.unexpected === 0) failed += 1
} catch (error) {
  process.stderr.write(`${error}\n`)
  failed += 1
} finally {
  rmSync(demo, { recursive: true, force: true })
  postgres?.stop()
}
close()
