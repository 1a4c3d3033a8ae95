import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'

export const root = fileURLToPath(new URL('../../', import.meta.url))

export const say = (text) => process.stdout.write(`${text}\n`)

/** Runs a program of the project and gives its exit code; `capture` returns what it printed as well. */
export function run(command, args, { env = {}, capture = false, cwd = root } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
      stdio: capture ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
      // npm is a script on Windows and needs a shell there.
      shell: process.platform === 'win32' && command === 'npm',
    })
    let output = ''
    for (const stream of [child.stdout, child.stderr]) {
      stream?.on('data', (data) => {
        output += data
        process.stdout.write(data)
      })
    }
    child.on('error', reject)
    child.on('close', (code, signal) => resolve({ code: code ?? (signal ? 1 : 0), output }))
  })
}

export const node = (args, options) => run(process.execPath, args, options)

/** Path of a program that a package brings, started with this Node.js. */
export const bin = {
  next: 'node_modules/next/dist/bin/next',
  tsx: 'node_modules/tsx/dist/cli.mjs',
  vitest: 'node_modules/vitest/vitest.mjs',
  playwright: 'node_modules/@playwright/test/cli.js',
  eslint: 'node_modules/eslint/bin/eslint.js',
  prettier: 'node_modules/prettier/bin/prettier.cjs',
  tsc: 'node_modules/typescript/bin/tsc',
}

/** Stops the script with a text when a step failed. */
export async function must(what, promise) {
  const { code, output } = await promise
  if (code !== 0) {
    process.stderr.write(`${what} failed (exit code ${code}).\n`)
    process.exit(code)
  }
  return output
}
