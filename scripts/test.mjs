// Everything a change must pass: formatting, lint, types, unit tests, the production build, interface tests.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from './lib/build.mjs'
import { chromiumPath } from './lib/chromium.mjs'
import { ensureInstalled } from './lib/install.mjs'
import { startPostgres } from './lib/postgres.mjs'
import { keepInMemory } from './lib/quickFolder.mjs'
import { bin, must, node, root, run, say } from './lib/run.mjs'
import { option } from './lib/serve.mjs'

/**
 * When the interface tests begin, so that they find the same on any day. Another moment: `npm test -- --at 2026-12-31T23:30`, in
 * the time zone of TZ. `--at now` is the machine's own.
 */
const usualMoment = '2026-06-10T09:30'
const moment = option('at') ?? usualMoment
const begins = moment === 'now' ? Date.now() : new Date(moment).getTime()
if (Number.isNaN(begins)) {
  process.stderr.write(`--at ${moment} is not a moment. Write it like ${usualMoment}, or now.\n`)
  process.exit(64)
}

/** `--only interface` skips the rest; `--spec order` runs the interface tests whose file name has `order` in it. */
const only = option('only')
const spec = option('spec')

/** `npm run test:long`: the unit tests alone, with searches of full length and ten times the random situations. */
const isLong = process.argv.includes('--long')
const long = isLong ? { EVEN_SPOKE_LONG: '1', PROPERTY_TIMES: process.env.PROPERTY_TIMES ?? '10' } : {}

keepInMemory()

let passed = 0
let failed = 0
/** What failed, said again at the end, where it is found. */
const failures = []

async function check(name, promise) {
  say(`\n— ${name}`)
  const { code } = await promise
  if (code === 0) passed += 1
  else fail(name)
}

function fail(...names) {
  failed += names.length
  failures.push(...names)
}

async function ensureChromium() {
  if (chromiumPath()) return
  if (process.platform === 'linux' && process.getuid?.() === 0) {
    say('Installing Chromium for the interface tests (once) …')
    await must('apt-get update', run('apt-get', ['update', '-qq']))
    await must(
      'apt-get install chromium-headless-shell',
      run('apt-get', ['install', '-y', '-qq', 'chromium-headless-shell']),
    )
    if (chromiumPath()) return
  }
  process.stderr.write(
    'The interface tests need Chromium. Install it (Debian: apt-get install chromium-headless-shell) or name it with CHROMIUM=/path/to/chromium.\n',
  )
  process.exit(1)
}

/** Runs unit tests and counts them. */
async function unitTests(name, files, env = {}) {
  const report = join(root, 'test-results', `${name}.json`)
  rmSync(report, { force: true })
  const reporters = ['--reporter=dot', '--reporter=json', `--outputFile.json=${report}`]
  const { code } = await node([bin.vitest, 'run', ...files, ...reporters], { env })
  try {
    const { numPassedTests, testResults } = JSON.parse(readFileSync(report, 'utf8'))
    const failing = testResults.flatMap(({ assertionResults }) =>
      assertionResults.filter(({ status }) => status === 'failed').map(({ fullName }) => fullName),
    )
    passed += numPassedTests
    fail(...failing)
    if (code !== 0 && failing.length === 0) fail(name)
  } catch {
    fail(name)
  }
}

async function sourceAndUnitTests() {
  await check('formatting', node([bin.prettier, '--check', '--log-level', 'warn', '.']))
  // Next writes the types of the routes; without them a fresh clone has nothing to check against.
  await check('route types', node([bin.next, 'typegen']))
  say('\n— unit tests, with lint and types beside them')
  // Checks that only read run beside the unit tests: two cores are enough for both.
  const others = [
    ['lint', node([bin.eslint, '.', '--max-warnings', '0'])],
    ['types', node([bin.tsc, '--noEmit', '-p', 'tsconfig.json'])],
    ['types of the core alone', node([bin.tsc, '--noEmit', '-p', 'src/core/tsconfig.json'])],
  ]
  await unitTests('unit', [])
  for (const [name, promise] of others) await check(name, promise)
}

/** The titles of the interface tests that failed, suites within suites. */
const unexpected = (suites) =>
  suites.flatMap(({ specs = [], suites: inner = [] }) => [
    ...specs
      .filter(({ tests }) => tests.some(({ status }) => status === 'unexpected'))
      .map(({ file, title }) => `${file}: ${title}`),
    ...unexpected(inner),
  ])

async function interfaceTests(env) {
  say(`\n— interface tests, beginning ${new Date(begins).toString()}`)
  const offsetSeconds = moment === 'now' ? 0 : Math.round((begins - Date.now()) / 1000)
  const clock = { EVEN_SPOKE_CLOCK_OFFSET_SECONDS: String(offsetSeconds) }
  const demo = mkdtempSync(join(tmpdir(), 'even-spoke-demo-'))
  try {
    await must(
      'Filling the demo data',
      node([bin.tsx, 'src/demo/seed.ts'], { env: { ...clock, EVEN_SPOKE_DATA: demo } }),
    )
    const { code } = await node([bin.playwright, 'test', ...(spec ? [spec] : [])], {
      env: { ...clock, ...env, EVEN_SPOKE_TEST_DEMO: demo },
    })
    const { stats, suites } = JSON.parse(readFileSync(join(root, 'test-results', 'interface.json'), 'utf8'))
    passed += stats.expected + stats.flaky
    fail(...unexpected(suites))
    if (code !== 0 && stats.unexpected === 0) fail('interface tests')
  } catch (error) {
    process.stderr.write(`${error}\n`)
    fail('interface tests')
  } finally {
    rmSync(demo, { recursive: true, force: true })
  }
}

/** Says how it went, and ends. */
function end() {
  if (failures.length > 0) say(`\nFailed:\n${failures.map((name) => `  ${name}`).join('\n')}`)
  say(`\n${passed} passed, ${failed} failed`)
  process.exit(failed > 0 ? 1 : 0)
}

await ensureInstalled()
if (isLong) {
  await unitTests('long', [], long)
  end()
}
await ensureChromium()
if (only !== 'interface') await sourceAndUnitTests()
const postgres = await startPostgres()
const onServer = postgres ? { EVEN_SPOKE_TEST_POSTGRES: postgres.url } : {}
if (only !== 'interface') {
  say('\n— the data on a PostgreSQL server')
  if (postgres)
    await unitTests(
      'server',
      [
        'src/data/queries',
        'src/data/schema.test.ts',
        'src/data/ownObjects.test.ts',
        'src/data/server.test.ts',
        'src/services',
      ],
      onServer,
    )
  else say('There is no PostgreSQL server here; the data was tested on PGlite alone.')
}
say('\n— production build')
await ensureBuilt()
passed += 1
await interfaceTests(onServer)
postgres?.stop()
end()
