// Starts with the person's own data folder; installs and builds what is missing first.
import { ensureBuilt } from './lib/build.mjs'
import { ensureInstalled } from './lib/install.mjs'
import { say } from './lib/run.mjs'
import { freePort, option, portOption, serve, stayWith } from './lib/serve.mjs'

const wanted = portOption()
await ensureInstalled()
await ensureBuilt()
const { default: envPaths } = await import('env-paths')
const dataFolder =
  option('data') ?? process.env.EVEN_SPOKE_DATA ?? envPaths('even-spoke', { suffix: '' }).data
say('Starting …')
const { child, address } = await serve({ dataFolder, port: await freePort(wanted) })
say(`\nEven Spoke: ${address}\nYour data is in ${dataFolder}. Stop with Ctrl-C.`)
stayWith(child)
