import type { Database } from '../database'
import { recordDisk } from './recordDisk'
import type { Recording } from './disk'

const jobId = '00000000-0000-4000-8000-000000000001'

/** A vehicle with a job whose taps are written, and one product that is edited; as plain rows, so that nothing else is needed. */
export async function prepare(database: Database): Promise<void> {
  await database.transaction(async (transaction) => {
    await transaction.query(
      "insert into vehicle (id, name, kind) values ('00000000-0000-4000-8000-000000000002', 'Cut', 'car')",
    )
    await transaction.query(
      "insert into wheel_set (id, vehicle_id, name) values ('00000000-0000-4000-8000-000000000003', '00000000-0000-4000-8000-000000000002', 'Set')",
    )
    await transaction.query(
      `insert into job (id, wheel_set_id, job_file, plan_file) values ($1, '00000000-0000-4000-8000-000000000003',
        '{"corners": [{}]}', '{"headline": "", "operatorSeconds": 0, "steps": []}')`,
      [jobId],
    )
    await transaction.query(
      `insert into product (id, name, family, strength_from, strength_to, dwell_min_seconds, dwell_max_seconds, delivery,
         pack_millilitres, pack_price_minor, currency, stock_millilitres)
       values ('soap', 'Soap', 'wheelShampoo', 0.01, 0.02, 0, 60, 'bucket', 1000, 1000, 'EUR', 0)`,
    )
  })
}

/** Plans are long: they go where long values go, in many pages. */
const planText = (number: number): string =>
  JSON.stringify({
    headline: `Plan ${number}`,
    operatorSeconds: number,
    steps: Array.from({ length: 60 }, (_, at) => ({
      id: `step ${at}`,
      note: Math.sin(at * number).toString(36),
    })),
  })

/** What was acknowledged, in a line each: what kind, and what must be found again. */
export async function write(
  database: Database,
  device: number,
  number: number,
  mark: (text: string) => void,
): Promise<void> {
  const kind = (device + number) % 4
  if (kind === 0 && device === 0) {
    await database.query('update product set stock_millilitres = $1, version = version + 1', [number])
    mark(`stock ${number}`)
  } else if (kind === 1 && device === 1) {
    await database.query('update job set plan_file = $2::jsonb where id = $1', [jobId, planText(number)])
    mark(`plan ${number}`)
  } else {
    const request = crypto.randomUUID()
    await database.query(
      `insert into run_event (job_id, sequence, kind, step_id, at, request_id)
       values ($1, (select coalesce(max(sequence), 0) + 1 from run_event), 'done', 'a step', now(), $2)`,
      [jobId, request],
    )
    mark(`tap ${request}`)
  }
}

/** Lines of `marks` that the opened database does not bear out. */
export async function missingIn(database: Database, marks: readonly string[]): Promise<string[]> {
  const values = (kind: string) =>
    marks.filter((mark) => mark.startsWith(`${kind} `)).map((mark) => mark.slice(kind.length + 1))
  const taps = new Set(
    (await database.query<{ id: string }>('select request_id::text as id from run_event')).map(
      ({ id }) => id,
    ),
  )
  const missing = values('tap')
    .filter((id) => !taps.has(id))
    .map((id) => `tap ${id}`)
  const [found] = await database.query<{ stock: number | null; plan: string | null }>(
    `select (select stock_millilitres from product) as stock, (select plan_file::text from job) as plan`,
  )
  const newest = (kind: string) => Math.max(0, ...values(kind).map(Number))
  if (newest('stock') > (found?.stock ?? 0)) missing.push(`stock ${newest('stock')}`)
  const plan = found?.plan ? (JSON.parse(found.plan) as { operatorSeconds: number; steps: unknown[] }) : null
  if (newest('plan') > (plan?.operatorSeconds ?? 0)) missing.push(`plan ${newest('plan')}`)
  return missing
}

export interface RecordedWork extends Recording {
  /** Event at which the first start was through, and at which the good copy was begun. */
  readonly startedAt: number
  readonly copyBegunAt: number
}

/**
 * Records a first start, then work from several devices at once with checkpoints and a good copy in the middle of it,
 * then a clean stop. Loads the program only after the recording began, so that nothing of it is missed.
 */
export async function recordWork(folder: string, rounds: number, devices: number): Promise<RecordedWork> {
  const recording = recordDisk(folder)
  try {
    const { openDatabase } = await import('../openDatabase')
    const database = await openDatabase(folder, { upkeep: true })
    const startedAt = recording.events.length
    await prepare(database)
    let copyBegunAt = 0
    let copied: Promise<unknown> = Promise.resolve()
    for (let round = 1; round <= rounds; round += 1) {
      if (round === Math.ceil(rounds / 2)) {
        copyBegunAt = recording.events.length
        copied = database.copy()
      }
      await Promise.all(
        Array.from({ length: devices }, (_, device) => write(database, device, round, recording.mark)),
      )
      if (round % 40 === 0) await database.query('checkpoint')
    }
    await copied
    await database.close()
    return { root: recording.root, events: recording.events, startedAt, copyBegunAt }
  } finally {
    recording.stop()
  }
}
