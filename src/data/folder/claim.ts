import { currentTime } from '@/clock'
import { randomUUID } from 'node:crypto'
import { mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import * as v from 'valibot'
import { identityOf, livenessOf, type Liveness } from './processIdentity'
import { writeDurably } from './durableFiles'

/**
 * A claim says who uses a data folder. Every starter writes its own and then looks at all others: whoever sees one of
 * another living process withdraws. Two can so refuse each other, but never both go on.
 */
const claimSchema = v.object({
  pid: v.number(),
  began: v.nullable(v.string()),
  host: v.string(),
  machine: v.nullable(v.string()),
  boot: v.nullable(v.string()),
  processSpace: v.nullable(v.string()),
  /** Device and number of the folder of claims: a copied folder brings along claims that are not its own. */
  place: v.string(),
  since: v.string(),
  address: v.optional(v.string()),
  /** False while its writer has not looked at the others yet. */
  settled: v.boolean(),
})
export type Claim = v.InferOutput<typeof claimSchema>

const claimsFolder = (folder: string): string => join(folder, 'owners')

/** Makes the folder of claims; a file in its place is set aside. */
export function ensureClaimsFolder(folder: string): void {
  const path = claimsFolder(folder)
  if (statSync(path, { throwIfNoEntry: false })?.isDirectory() === false)
    renameSync(path, `${path}-unreadable-${randomUUID().slice(0, 8)}`)
  mkdirSync(path, { recursive: true })
}

export function placeOf(folder: string): string {
  const { dev, ino } = statSync(claimsFolder(folder), { bigint: true })
  return `${dev}:${ino}`
}

export interface OtherClaim {
  readonly name: string
  readonly claim: Claim
  readonly liveness: Liveness
  /** Whether it is of another start of a machine with this one's name and id: of this one before, or of its twin. */
  readonly isOfOtherStart: boolean
}

export const claimPath = (folder: string, name: string): string => join(claimsFolder(folder), `${name}.json`)
const beatPath = (folder: string, name: string): string => join(claimsFolder(folder), `${name}.beat`)

/** Claims appear whole and synced, so what cannot be read was never one of ours. */
function readClaim(path: string): Claim | null {
  try {
    const read = v.safeParse(claimSchema, JSON.parse(readFileSync(path, 'utf8')))
    return read.success ? read.output : null
  } catch {
    return null
  }
}

/** All claims but one's own; junk is removed. A claim copied from another folder counts as dead. */
export function otherClaims(folder: string, own: string): OtherClaim[] {
  const place = placeOf(folder)
  const here = identityOf(process.pid)
  return readdirSync(claimsFolder(folder)).flatMap((file) => {
    const name = file.replace(/\.json$/, '')
    if (!file.endsWith('.json') || name === own) return []
    const path = claimPath(folder, name)
    const claim = readClaim(path)
    if (!claim) {
      // Withdrawn in between, or junk.
      rmSync(path, { recursive: true, force: true })
      return []
    }
    const liveness = livenessOf(claim)
    const isElsewhereOrHere = liveness === 'elsewhere' || claim.place === place
    return [
      {
        name,
        claim,
        liveness: isElsewhereOrHere ? liveness : 'dead',
        isOfOtherStart: isElsewhereOrHere && liveness === 'dead' && claim.boot !== here.boot,
      },
    ]
  })
}

export const writeClaim = (folder: string, name: string, claim: Claim): void =>
  writeDurably(claimPath(folder, name), JSON.stringify(claim))

export function removeClaim(folder: string, name: string): void {
  rmSync(claimPath(folder, name), { force: true })
  rmSync(beatPath(folder, name), { force: true })
}

/** A sign of life that can be seen from another machine; what is in it only has to differ from the last. */
export const beat = (folder: string, name: string, count: number): void =>
  writeFileSync(beatPath(folder, name), String(count))

/** How long ago the last sign of life was given, by the clock of the folder's disk and this machine, ms; null: never. */
export function beatAgeMilliseconds(folder: string, name: string): number | null {
  const found = statSync(beatPath(folder, name), { throwIfNoEntry: false })
  return found ? currentTime().getTime() - found.mtimeMs : null
}

export function lastBeat(folder: string, name: string): string | null {
  try {
    return readFileSync(beatPath(folder, name), 'utf8')
  } catch {
    return null
  }
}
