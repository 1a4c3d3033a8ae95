// Installs, builds, fills the demo data folder and starts. Plain Node.js: it runs before any package is there.
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuilt } from './lib/build.mjs'
import { ensureInstalled } from './lib/install.mjs'
import { bin, must, node, root, say } from './lib/run.mjs'
import { flag, freePort, option, portOption, serve, stayWith } from './lib/serve.mjs'

const wanted = portOption()
const dataFolder = option('data') ?? join(root, 'demo-data')
await ensureInstalled()
await ensureBuilt()
const reset = flag('reset')
if (reset || !existsSync(join(dataFolder, 'demo-complete'))) {
  say(reset ? 'Renewing the demo data …' : 'Filling the demo data …')
  await must(
    'Filling the demo data',
    node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: dataFolder } }),
  )
}
say('Starting …')
const { child, address } = await serve({ dataFolder, port: await freePort(wanted) })
say(
  `\nEven Spoke with demo data: ${address}\nData in ${dataFolder}. Stop with Ctrl-C; \`npm run demo -- --reset\` renews the data.`,
)
stayWith(child)
