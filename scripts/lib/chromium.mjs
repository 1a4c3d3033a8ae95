import { existsSync } from 'node:fs'

const candidates = [
  process.env.CHROMIUM,
  // The same browser without a window: a third less work for every test.
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
  '/Applications/Chromium.app/Contents/MacOS/Chromium',
]

/** Path of a Chromium on this system, or null. */
export const chromiumPath = () => candidates.find((path) => path && existsSync(path)) ?? null

/** Keeps a headless Chromium quiet and off the network. */
export const chromiumArguments = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]
