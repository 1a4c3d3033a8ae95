import { headers } from 'next/headers'
import type { NextRequest } from 'next/server'
import * as v from 'valibot'
import { parse } from '@/contracts/problems'
import { callerHeaders } from '@/access-control/caller'
import { refusalOf as failureOf } from './refusal'
import { deviceRoles, mayUse, type Access, type Caller } from '@/access-control/roles'
import type { Problem } from '@/core/result'

/**
 * Returns who is calling, as the gate found out; null for nobody.
 * Without the gate's header nobody is let in: a request that came around the gate has no rights.
 */
export async function caller(): Promise<Caller | null> {
  const sent = await headers()
  const role = sent.get(callerHeaders.role)
  if (!v.is(v.picklist(deviceRoles), role)) return null
  return { role, deviceId: sent.get(callerHeaders.device) }
}

/** Whether the caller may do what an owner may. */
export const isOwner = async (): Promise<boolean> => mayUse(await caller(), 'owner')

/** Whether the caller is the machine itself, and no device of the network. */
export const isAtDesk = async (): Promise<boolean> => mayUse(await caller(), 'desk')

/** Up to which change the answer is sure to know everything; null: not known. */
export const livePlace = async (): Promise<string | null> => (await headers()).get(callerHeaders.livePlace)

const refusals: Readonly<Record<Exclude<Access, 'anyone'>, Problem>> = {
  bay: { path: '', found: 'a device that is not paired', mend: 'Pair this device at the shop’s computer.' },
  owner: {
    path: '',
    found: 'a device of the bay',
    mend: 'Only the owner can do this. Use the shop’s computer.',
  },
  desk: {
    path: '',
    found: 'a device of the network',
    mend: 'This can only be done on the shop’s computer.',
  },
}

/** Whoever comes back after so long may find it mended, s. */
const retrySeconds = 3

/** What passes: a full disk, a server that does not answer, too much at once. @throws everything else, which is a bug */
const refusalOfFailure = (error: unknown): readonly Problem[] => failureOf(error).problems

/** Why a caller is refused; null: they are not. */
function refusalOf(from: Caller | null, access: Access): Problem | null {
  if (access === 'anyone' || mayUse(from, access)) return null
  return from === null ? refusals.bay : refusals[access]
}

/** What an action answers that was refused. */
export interface ActionRefusal {
  readonly ok: false
  readonly problems: readonly Problem[]
}

type Schemas = readonly v.GenericSchema[]
type Inputs<S extends Schemas> = { -readonly [At in keyof S]: v.InferOutput<S[At]> }
type Sent<S extends Schemas> = { -readonly [At in keyof S]: unknown }

/** What a test asks of every action and route. */
export interface Guarded {
  readonly access: Access
}

/**
 * Makes a server action that checks the caller and parses its arguments before anything else is done.
 * @param access who may call it
 * @param schemas of its arguments, in order
 * @param work gets the parsed arguments
 */
export function action<const S extends Schemas, Answer>(
  access: Access,
  schemas: S,
  work: (...inputs: Inputs<S>) => Promise<Answer>,
): ((...sent: Sent<S>) => Promise<Answer | ActionRefusal>) & Guarded {
  const guarded = async (...sent: Sent<S>): Promise<Answer | ActionRefusal> => {
    const refusal = refusalOf(await caller(), access)
    if (refusal) return { ok: false, problems: [refusal] }
    const inputs: unknown[] = []
    for (const [at, schema] of schemas.entries()) {
      const read = parse(schema, sent[at])
      if (!read.ok) return { ok: false, problems: read.problems }
      inputs.push(read.value)
    }
    try {
      return await work(...(inputs as Inputs<S>))
    } catch (error) {
      return { ok: false, problems: refusalOfFailure(error) }
    }
  }
  return Object.assign(guarded, { access })
}

/** Makes a route handler that checks the caller before anything else is done. */
export function route<Context>(
  access: Access,
  work: (request: NextRequest, context: Context) => Response | Promise<Response>,
): ((request: NextRequest, context: Context) => Promise<Response>) & Guarded {
  const guarded = async (request: NextRequest, context: Context): Promise<Response> => {
    const from = await caller()
    const refusal = refusalOf(from, access)
    if (refusal) return Response.json({ problems: [refusal] }, { status: from === null ? 401 : 403 })
    try {
      return await work(request, context)
    } catch (error) {
      const problems = refusalOfFailure(error)
      return Response.json({ problems }, { status: 503, headers: { 'retry-after': String(retrySeconds) } })
    }
  }
  return Object.assign(guarded, { access })
}
