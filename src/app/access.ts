import { problemAnswer } from './problemAnswer'
import { saidProblems, type SaidProblem } from '@/i18n/saidProblems'
import { getSay } from '@/i18n/getSay'
import { message } from '@/core/message/message'
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
  bay: { path: '', found: message('problems.access.notPaired'), fix: message('problems.access.pair') },
  owner: {
    path: '',
    found: message('problems.access.bayDevice'),
    fix: message('problems.access.owner'),
  },
  desk: {
    path: '',
    found: message('problems.access.networkDevice'),
    fix: message('problems.access.desk'),
  },
}

/** Whoever comes back after so long may find it fixed, s. */
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
  readonly problems: readonly SaidProblem[]
}

/** What an action answers, with its problems said. */
type SaidAnswer<Answer> = Answer extends { readonly problems: readonly Problem[] }
  ? { readonly [Name in keyof Answer]: Name extends 'problems' ? readonly SaidProblem[] : Answer[Name] }
  : Answer

async function saidAnswer<Answer>(answer: Answer): Promise<SaidAnswer<Answer>> {
  if (typeof answer !== 'object' || answer === null || !('problems' in answer))
    return answer as SaidAnswer<Answer>
  const problems = saidProblems(answer.problems as readonly Problem[], await getSay())
  return { ...answer, problems } as unknown as SaidAnswer<Answer>
}

const refused = async (problems: readonly Problem[]): Promise<ActionRefusal> => ({
  ok: false,
  problems: saidProblems(problems, await getSay()),
})

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
): ((...sent: Sent<S>) => Promise<SaidAnswer<Answer> | ActionRefusal>) & Guarded {
  const guarded = async (...sent: Sent<S>): Promise<SaidAnswer<Answer> | ActionRefusal> => {
    const refusal = refusalOf(await caller(), access)
    if (refusal) return refused([refusal])
    const inputs: unknown[] = []
    for (const [at, schema] of schemas.entries()) {
      const read = parse(schema, sent[at])
      if (!read.ok) return refused(read.problems)
      inputs.push(read.value)
    }
    try {
      return await saidAnswer(await work(...(inputs as Inputs<S>)))
    } catch (error) {
      return refused(refusalOfFailure(error))
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
    if (refusal) return problemAnswer(from === null ? 401 : 403, [refusal])
    try {
      return await work(request, context)
    } catch (error) {
      return problemAnswer(503, refusalOfFailure(error), retrySeconds)
    }
  }
  return Object.assign(guarded, { access })
}
