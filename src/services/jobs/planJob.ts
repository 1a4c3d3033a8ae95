import { message } from '@/core/message/message'
import { listTestSpots } from '@/data/queries/testSpots'
import { listTools } from '@/data/queries/tools'
import { protectionFacts } from '@/core/protection/kinds'
import { checkReading } from '@/core/protection/drivenBy'
import { fail, failWith, succeed, type Result } from '@/core/result'
import type { Product } from '@/core/chemistry/product'
import { learntDust } from '@/core/soils/learntDust'
import { liveProtection } from '@/services/due'
import { intakeOffer } from './intakeOffer'
import { learntPace } from './learntPace'
import { writeDilution } from '@/core/dilution/writeDilution'
import { jobFormat, readJob, type JobFileInput } from '@/contracts/jobFile'
import type { ProductFile } from '@/contracts/cabinet'
import type { PlanFile } from '@/contracts/planFile'
import type { IntakeInput } from '@/contracts/intake'
import type { Database, Queryable } from '@/data/database'
import { listProducts } from '@/data/queries/cabinet'
import { inPool } from '@/pool/pool'
import { addReading, listReadings } from '@/data/queries/driving'
import { findJob, storeJob } from '@/data/queries/jobs'
import { readSettings } from '@/data/queries/settings'
import { findWheelSet, type WheelSet } from '@/data/queries/wheelSets'
import { learnDustFactor } from '@/data/queries/vehicles'

/** A product as a job file writes it. Percent keeps a strength exact enough to be read again. */
export const productToFile = ({
  version: _,
  ...product
}: Product & { readonly version?: number }): ProductFile => ({
  ...product,
  note: product.note ?? '',
  fluorideChecked: product.fluorideChecked ?? false,
  otherPacks: [...product.otherPacks],
  strength: writeDilution(product.strength, 'percent'),
})

/** When the work begins: nothing wet is planned on what still cures then. */
const startOf = ({ conditions: { startAt } }: IntakeInput, now: Date): Date => {
  const told = startAt === undefined ? now : new Date(startAt)
  return told > now ? told : now
}

/** The job file of a wheel set with what was seen at intake, the shop's cabinet, kit and settings. */
export async function jobFileFor(
  database: Database,
  wheelSet: WheelSet,
  intake: IntakeInput,
  now: Date,
): Promise<JobFileInput> {
  const settings = await readSettings(database)
  const products = (await listProducts(database)).filter(({ archived }) => !archived)
  const tools = await listTools(database)
  const protection = await liveProtection(database, wheelSet.id, now, startOf(intake, now))
  const chosen = new Set(intake.corners.map(({ position }) => position))
  return {
    format: jobFormat,
    vehicle: { name: wheelSet.vehicleName, kind: wheelSet.vehicleKind, archLiner: wheelSet.archLiner },
    wheelSet: { name: wheelSet.name },
    service: intake.service ?? (await intakeOffer(database, wheelSet, now)).service,
    corners: wheelSet.wheels
      .filter(({ position }) => chosen.has(position))
      .map((wheel) => ({
        ...wheel,
        loads: intake.corners.find(({ position }) => position === wheel.position)?.loads ?? [],
        protection: protection
          .filter(
            ({ position, kind, isGone }) =>
              position === wheel.position && protectionFacts[kind].on !== 'disc' && !isGone,
          )
          .map(({ kind }) => kind),
        curing: protection.some(({ position, isCuring }) => position === wheel.position && isCuring),
      })),
    conditions: { ...intake.conditions, ...(settings.place ? { place: settings.place } : {}) },
    crew: { people: intake.people },
    // An empty cabinet is planned with the house one, so that the first job needs no typing.
    ...(products.length > 0 ? { cabinet: products.map(productToFile) } : {}),
    ...(tools.length > 0 ? { tools } : {}),
    schools: settings.schools,
    estimates: settings.estimates,
    pace: await learntPace(database, settings.estimates),
    testSpots: (await listTestSpots(database, wheelSet.id)).map(({ productId, finish, result }) => ({
      productId,
      finish,
      result,
    })),
    equipment: settings.equipment,
    currency: settings.currency,
  }
}

/** The difference between expected and graded brake dust moves what is known of the vehicle. Only where there is a visit to count from. */
async function learnFromLook(
  database: Queryable,
  wheelSet: WheelSet,
  intake: IntakeInput,
  now: Date,
): Promise<void> {
  if (!wheelSet.lastVisitAt) return
  const { since } = await intakeOffer(database, wheelSet, now)
  const { estimates } = await readSettings(database)
  const told = { ...since, kilometres: intake.kilometres ?? since.kilometres }
  const factor = learntDust(wheelSet.dustFactor, intake.corners, told, estimates)
  await learnDustFactor(database, wheelSet.vehicleId, factor)
}

/** Plans a visit and stores it. Problems are at the field of the job file they belong to. */
export async function planJob(
  database: Database,
  wheelSetId: string,
  intake: IntakeInput,
  now: Date,
): Promise<Result<{ jobId: string; plan: PlanFile }>> {
  const sentBefore = intake.requestId ? await findJob(database, intake.requestId) : null
  if (sentBefore)
    return sentBefore.wheelSetId === wheelSetId
      ? succeed({ jobId: sentBefore.id, plan: sentBefore.plan })
      : fail({
          path: 'requestId',
          found: sentBefore.id,
          fix: message('problems.job.otherSent'),
        })
  const wheelSet = await findWheelSet(database, wheelSetId)
  if (!wheelSet)
    return fail({
      path: 'wheelSetId',
      found: wheelSetId,
      fix: message('problems.wheelSet.deleted'),
    })
  const reading = { at: now, kilometres: intake.odometerKilometres ?? 0 }
  if (intake.odometerKilometres !== undefined) {
    const checked = checkReading(reading, await listReadings(database, wheelSet.vehicleId), now)
    if (!checked.ok)
      return failWith(checked.problems.map((problem) => ({ ...problem, path: 'odometerKilometres' })))
  }
  const read = readJob(await jobFileFor(database, wheelSet, intake, now))
  if (!read.ok) return read
  const planned = await inPool('planFile', { file: read.value.file })
  if (!planned.ok) return planned
  const plan = planned.value
  if (!plan) throw new Error('a plan without an order was asked for')
  return database.transaction(async (transaction) => {
    const jobId = await storeJob(transaction, {
      id: intake.requestId,
      wheelSetId,
      jobFile: read.value.file,
      planFile: plan,
      plannedFor: null,
    })
    await learnFromLook(transaction, wheelSet, intake, now)
    if (intake.odometerKilometres !== undefined) await addReading(transaction, wheelSet.vehicleId, reading)
    return succeed({ jobId, plan })
  })
}
