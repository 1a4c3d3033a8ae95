// Measures what the project promises, as ratios within one run. `npm run bench -- pages` runs one part.
import { benchBackup } from '../bench/backup.mjs'
import { benchBay } from '../bench/bay.mjs'
import { benchBodies } from '../bench/bodies.mjs'
import { benchChoice } from '../bench/choice.mjs'
import { benchDue } from '../bench/due.mjs'
import { benchFuzz } from '../bench/fuzz.mjs'
import { benchHour } from '../bench/hour.mjs'
import { benchLoop } from '../bench/loop.mjs'
import { benchPages } from '../bench/pages.mjs'
import { benchPhotographs } from '../bench/photographs.mjs'
import { benchDurability } from '../bench/durability.mjs'
import { benchProcedure } from '../bench/procedure.mjs'
import { benchProtection } from '../bench/protection.mjs'
import { benchReference } from '../bench/reference.mjs'
import { benchScale } from '../bench/scale.mjs'
import { benchSequence } from '../bench/sequence.mjs'
import { benchResponsive } from '../bench/responsive.mjs'
import { benchTight } from '../bench/tight.mjs'
import { ensureInstalled } from './lib/install.mjs'
import { say } from './lib/run.mjs'

const parts = {
  choice: benchChoice,
  reference: benchReference,
  procedure: benchProcedure,
  bay: benchBay,
  sequence: benchSequence,
  tight: benchTight,
  protection: benchProtection,
  due: benchDue,
  responsive: benchResponsive,
  pages: benchPages,
  loop: benchLoop,
  scale: benchScale,
  fuzz: benchFuzz,
  photographs: benchPhotographs,
  backup: benchBackup,
  bodies: benchBodies,
  durability: benchDurability,
  hour: benchHour,
}

await ensureInstalled()
const wanted = process.argv.slice(2)
const unknown = wanted.filter((name) => !(name in parts))
if (unknown.length > 0) {
  process.stderr.write(`There is no part ${unknown.join(', ')}; use ${Object.keys(parts).join(', ')}.\n`)
  process.exit(2)
}
const rows = []
for (const [name, run] of Object.entries(parts)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue
  say(`\n— ${name}`)
  rows.push(...(await run()))
}
say('\nratio   at most   what')
for (const { what, ratio, most, detail } of rows) {
  say(
    `${ratio.toFixed(2).padStart(5)}   ${most === undefined ? '      –' : most.toFixed(2).padStart(7)}   ${what} (${detail})${most !== undefined && ratio > most ? '   ABOVE' : ''}`,
  )
}
process.exit(rows.some(({ ratio, most }) => most !== undefined && ratio > most) ? 1 : 0)
