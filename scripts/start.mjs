// Starts with the person's own data folder; installs and builds what is missing first.
import { ensureBuilt } from './lib/build.mjs'
import { ensureInstalled } from './lib/install.mjs'
import { say } from './lib/run.mjs'
import { freePort, option, portOption, serve, stayWith } from './lib/serve.mjs'

// What was asked for is read first: nobody waits for a build to hear of a slip.
const wanted = portOption()
const asked = option('data')
option('names')
await ensureInstalled()
await ensureBuilt()
const { default: envPaths } = await import('env-paths')
const dataFolder = asked ?? process.env.EVEN_SPOKE_DATA ?? envPaths('even-spoke', { suffix: '' }).data
say('Starting …')
const { child, address } = await serve({ dataFolder, port: await freePort(wanted) })
say(`\nEven Spoke: ${address}\nYour data is in ${dataFolder}. Stop with Ctrl-C.`)
stayWith(child)
