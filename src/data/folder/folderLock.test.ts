import { sayInEnglish } from '@/i18n/testEnglish'
import { randomUUID } from 'node:crypto'
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import {
  cpSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs'
import { hostname, tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { beat, placeOf, writeClaim } from './claim'
import { lockFolder } from './folderLock'
import { identityOf } from './processIdentity'

let folder = ''
const children: ChildProcess[] = []
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'even-spoke-lock-'))
})
afterEach(() => {
  for (const child of children.splice(0)) child.kill('SIGKILL')
  rmSync(folder, { recursive: true, force: true })
})

const hold = `import { lockFolder } from '@/data/folder/folderLock'
await lockFolder(process.env.FOLDER)
console.log('held')
setInterval(() => undefined, 1000)`

/** Another process that holds the folder. */
async function holder(): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', hold], {
    env: { ...process.env, FOLDER: folder },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  children.push(child)
  await new Promise((resolve) => child.stdout?.once('data', resolve))
  return child
}

const ended = (child: ChildProcess): Promise<unknown> => new Promise((resolve) => child.once('exit', resolve))
const takes = async (options: Parameters<typeof lockFolder>[1] = {}): Promise<void> =>
  (await lockFolder(folder, options)).release()

/** Changes what the claims in the folder say. */
function rewriteClaims(change: object): void {
  for (const file of readdirSync(join(folder, 'owners')).filter((name) => name.endsWith('.json'))) {
    const path = join(folder, 'owners', file)
    writeFileSync(path, JSON.stringify({ ...(JSON.parse(readFileSync(path, 'utf8')) as object), ...change }))
  }
}

describe('a living owner on this machine', () => {
  it('is named, and followed at once when it was killed', async () => {
    const child = await holder()
    await expect(lockFolder(folder)).rejects.toMatchObject({
      reason: 'locked',
      exitCode: 75,
      message: expect.stringContaining(`process ${child.pid} `),
    })
    const gone = ended(child)
    child.kill('SIGKILL')
    await gone
    const before = performance.now()
    await takes()
    expect(performance.now() - before).toBeLessThan(1000)
  })

  it('keeps the folder while it is suspended and however old its signs of life are', async () => {
    const child = await holder()
    child.kill('SIGSTOP')
    for (const file of readdirSync(join(folder, 'owners'))) utimesSync(join(folder, 'owners', file), 0, 0)
    await expect(lockFolder(folder)).rejects.toMatchObject({ reason: 'locked' })
    // Not even when asked to: two at once would lose data.
    await expect(lockFolder(folder, { takeOver: true })).rejects.toMatchObject({ reason: 'locked' })
    child.kill('SIGCONT')
  })

  it.each([-10_000, -3, 3, 10_000_000])(
    'is known whatever the clock says: set by %i seconds',
    async (seconds) => {
      await holder()
      rewriteClaims({ since: new Date(Date.now() - seconds * 1000).toISOString() })
      const moved = new Date(Date.now() - seconds * 1000)
      for (const file of readdirSync(join(folder, 'owners')))
        utimesSync(join(folder, 'owners', file), moved, moved)
      await expect(lockFolder(folder)).rejects.toMatchObject({ reason: 'locked' })
    },
  )

  it('of twenty that start at once, one has the folder', async () => {
    const outcomes = await Promise.allSettled(Array.from({ length: 20 }, () => lockFolder(folder)))
    expect(outcomes.filter(({ status }) => status === 'fulfilled').length).toBe(1)
  })
})

describe('an owner that has ended', () => {
  it('is told apart from a later process with its number', async () => {
    const child = await holder()
    rewriteClaims({ began: '1' })
    await takes()
    expect(child.exitCode).toBeNull()
  })

  it('is known after the machine was started anew', async () => {
    await (await holder()).kill('SIGSTOP')
    rewriteClaims({ boot: 'another start' })
    await takes({ twinMilliseconds: 300 })
  })

  it('on another machine of the same name and id, started at another time, keeps the folder while it gives signs of life', async () => {
    const name = randomUUID()
    const claims = join(folder, 'owners')
    mkdirSync(claims, { recursive: true })
    const twin = {
      ...identityOf(process.pid),
      boot: 'another start',
      place: placeOf(folder),
      since: 'today',
      settled: true,
    }
    writeClaim(folder, name, twin)
    let beats = 0
    const beating = setInterval(() => beat(folder, name, (beats += 1)), 50)
    beat(folder, name, 0)
    await expect(lockFolder(folder, { twinMilliseconds: 2500 })).rejects.toMatchObject({ reason: 'locked' })
    clearInterval(beating)
    await takes({ twinMilliseconds: 300 })
  })

  it('came along with a copy of its folder: the copy is free', async () => {
    await holder()
    const copy = mkdtempSync(join(tmpdir(), 'even-spoke-lock-copy-'))
    cpSync(folder, copy, { recursive: true })
    await (await lockFolder(copy)).release()
    rmSync(copy, { recursive: true, force: true })
  })
})

describe('an owner on another machine', () => {
  const elsewhere = async (): Promise<string> => {
    await (await holder()).kill('SIGSTOP')
    rewriteClaims({ host: `${hostname()}-other` })
    return join(
      folder,
      'owners',
      readdirSync(join(folder, 'owners')).find((name) => name.endsWith('.json')) ?? '',
    )
  }

  it('keeps the folder while it gives signs of life', async () => {
    const beat = (await elsewhere()).replace(/json$/, 'beat')
    let count = 100
    const timer = setInterval(() => writeFileSync(beat, String((count += 1))), 20)
    await expect(lockFolder(folder, { quietMilliseconds: 2000 })).rejects.toMatchObject({ reason: 'locked' })
    clearInterval(timer)
  })

  it('is followed after it was silent for long enough, with a warning', async () => {
    await elsewhere()
    const said: string[] = []
    await takes({ quietMilliseconds: 50, say: (one) => said.push(sayInEnglish(one)) })
    expect(said).toEqual([expect.stringContaining('--take-over'), expect.stringContaining('gives no sign')])
  })

  it('is followed at once when asked to, with a warning, and knows it before its next write', async () => {
    await elsewhere()
    const said: string[] = []
    await takes({ takeOver: true, say: (one) => said.push(sayInEnglish(one)) })
    expect(said).toEqual([expect.stringContaining('as asked')])
  })
})

describe('what stands where the lock should be', () => {
  it.each<[string, () => void]>([
    ['a file named lock', () => writeFileSync(join(folder, 'lock'), 'junk')],
    ['an empty lock folder', () => mkdirSync(join(folder, 'lock'))],
    [
      'a lock folder that holds a file',
      () => {
        mkdirSync(join(folder, 'lock'))
        writeFileSync(join(folder, 'lock', 'file'), '')
      },
    ],
    ['an owner that is junk', () => writeFileSync(join(folder, 'owner.json'), '\0\0{')],
    ['an owner that is a folder', () => mkdirSync(join(folder, 'owner.json'))],
    ['owners that is a file', () => writeFileSync(join(folder, 'owners'), 'junk')],
    [
      'claims that are junk',
      () => {
        mkdirSync(join(folder, 'owners'))
        for (const text of ['', 'null', '{"pid": 1}', '\0\0\0'])
          writeFileSync(join(folder, 'owners', `${text.length}.json`), text)
        mkdirSync(join(folder, 'owners', 'folder.json'))
      },
    ],
  ])('%s is cleared', async (_, place) => {
    place()
    await takes()
    await takes()
  })

  it('an owner of an earlier version that lives is respected, a dead one is not', async () => {
    const child = spawn(process.execPath, ['-e', 'setInterval(() => undefined, 1000)'])
    children.push(child)
    const lockOf = (pid: number): void => {
      mkdirSync(join(folder, 'lock'))
      writeFileSync(join(folder, 'owner.json'), JSON.stringify({ pid, host: hostname(), startedAt: 'today' }))
    }
    lockOf(child.pid ?? 0)
    await expect(lockFolder(folder)).rejects.toMatchObject({
      message: expect.stringContaining(`process ${child.pid} `),
    })
    rmSync(join(folder, 'lock'), { recursive: true })
    const short = spawnSync(process.execPath, ['-e', ''])
    lockOf(short.pid)
    await takes()
    // What is left keeps a program of that version out.
    expect(() => mkdirSync(join(folder, 'lock'))).toThrow()
    expect(() => rmSync(join(folder, 'lock', 'x'))).toThrow()
  })
})

describe('the owner', () => {
  it('knows before a write that the folder was taken or is gone, and is told once', async () => {
    let lost = 0
    const lock = await lockFolder(folder, { onLost: () => (lost += 1) })
    expect(lock.stillOwned()).toBe(true)
    rmSync(join(folder, 'owners'), { recursive: true })
    expect(lock.stillOwned()).toBe(false)
    expect(lock.stillOwned()).toBe(false)
    expect(lost).toBe(1)
    await lock.release()
  })

  it('may not write any more after it gave the folder back', async () => {
    const lock = await lockFolder(folder)
    await lock.release()
    expect(lock.stillOwned()).toBe(false)
  })

  it('is told apart by what the system knows, not by a clock', async () => {
    const first = identityOf(process.pid)
    await wait(20)
    expect(identityOf(process.pid)).toEqual(first)
    expect(identityOf(process.ppid)).not.toEqual(first)
  })
})
