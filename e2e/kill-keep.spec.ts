import { spawn } from 'node:child_process'
import { cpSync, existsSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { expect, newFolder, test } from './server'

/** Runs a command on a data folder; killed after so long, where that is given. */
function keep(command: string, folder: string, args: readonly string[], killAfterMilliseconds?: number) {
  return new Promise<{ code: number | null; output: string }>((resolve) => {
    const child = spawn(process.execPath, ['--import', 'tsx', `src/data-commands/${command}.ts`, ...args], {
      env: { ...process.env, EVEN_SPOKE_DATA: folder },
    })
    let output = ''
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (data: Buffer) => (output += data.toString()))
    const timer =
      killAfterMilliseconds === undefined
        ? undefined
        : setTimeout(() => child.kill('SIGKILL'), killAfterMilliseconds)
    child.once('exit', (code) => {
      clearTimeout(timer)
      resolve({ code, output })
    })
  })
}

const rowsIn = (output: string): number =>
  Number(/([\d,]+) rows?\. Counts/.exec(output)?.[1]?.replaceAll(',', '') ?? NaN)

test('a restore or a backup that is killed at any moment leaves the data whole, and never half', async () => {
  test.setTimeout(600_000)
  const [demo, empty, files] = [newFolder(), newFolder(), newFolder()]
  cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', demo, { recursive: true })
  const zip = join(files, 'empty.zip')
  expect((await keep('backup', empty, [zip])).code).toBe(0)
  const full = rowsIn((await keep('check', demo, [])).output)
  const none = rowsIn((await keep('check', empty, [])).output)
  expect(full).toBeGreaterThan(none + 1000)
  const began = Date.now()
  const whole = newFolder()
  cpSync(demo, whole, { recursive: true })
  expect((await keep('restore', whole, [zip, '--yes'])).code).toBe(0)
  const takes = Date.now() - began
  const seen = new Set<number>()
  for (const share of [0.3, 0.5, 0.65, 0.8, 0.9, 0.97]) {
    const folder = newFolder()
    cpSync(demo, folder, { recursive: true })
    await keep('restore', folder, [zip, '--yes'], takes * share)
    const check = await keep('check', folder, [])
    expect(check.code, check.output).toBe(0)
    const rows = rowsIn(check.output)
    expect([full, none]).toContain(rows)
    seen.add(rows)
    const unfinished = join(files, `cut-${share}.zip`)
    await keep('backup', folder, [unfinished], takes * share)
    if (existsSync(unfinished)) expect((await keep('restore', folder, [unfinished])).code).toBe(0)
    expect((await keep('check', folder, [])).code).toBe(0)
    rmSync(folder, { recursive: true, force: true })
  }
  expect(seen.has(full)).toBe(true)
  for (const folder of [demo, empty, files, whole]) rmSync(folder, { recursive: true, force: true })
})
