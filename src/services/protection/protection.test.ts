import type { Result } from '@/core/result'
import { inEnglish } from '@/i18n/testEnglish'
import { message } from '@/core/message/message'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { wheelSetInput } from '@/contracts/wheelSet'
import { layerInput, lookInput, renewalInput, wheelChangeInput } from '@/contracts/protection'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { migrate, readMigrations } from '@/data/migrate'
import { addVisit } from '@/data/queries/visits'
import { listOpenJobs, setPlannedFor } from '@/data/queries/jobs'
import { listReadings } from '@/data/queries/driving'
import { listMarks, mark, unmark } from '@/data/queries/due/dueMarks'
import { addWheelSet, findWheelSet, updateWheelSet } from '@/data/queries/wheelSets'
import { listVehicles } from '@/data/queries/vehicles'
import { intakeInput } from '@/contracts/intake'
import { shopCalendar } from '../due/calendar'
import { changeWheels } from './changeWheels'
import { readCalendar } from '../devices/subscriber'
import { askForecast, forgetForecast } from '../forecast/askForecast'
import { listDue, liveProtection } from '../due/due'
import { markDone, snooze } from '../due/markDue'
import { planFor } from '../jobs/planFor'
import { planJob } from '../jobs/planJob'
import { putLayerOn, renewWheels } from './putLayerOn'
import { recordLook } from './recordLook'
import { tellDriving } from './tellDriving'

const now = new Date('2026-06-10T09:00:00Z')
const daysAgo = (days: number) => new Date(now.getTime() - days * 86_400_000)
const positions = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const

let database: Database
let setId: string
let otherSetId: string

const inputOf = (name: string) =>
  v.parse(wheelSetInput, {
    vehicle: { name: 'Orlen Tessaly', kind: 'car' },
    name,
    wheels: positions.map((position) => ({ position, tyreCode: '225/45 R18', rimWidthInches: 8, spokeCount: 10, spokeWidthMillimetres: 30, spokeDepthMillimetres: 45, finishes: [] })),
  }) // prettier-ignore
const layer = (changes: object = {}) =>
  v.parse(layerInput, { requestId: randomUUID(), positions: [...positions], kind: 'spraySealant', productName: 'Long Coat', at: daysAgo(40).toISOString(), ...changes }) // prettier-ignore
const look = (beading: number, changes: object = {}) =>
  v.parse(lookInput, { requestId: randomUUID(), positions: ['frontLeft', 'frontRight'], beading, afterReviving: true, secondsAgo: 86_400, ...changes }) // prettier-ignore
const change = (mountedSetId: string | null, changes: object = {}) =>
  v.parse(wheelChangeInput, {
    requestId: randomUUID(),
    mountedSetId,
    at: daysAgo(2).toISOString(),
    ...changes,
  })
const fixOf = (result: Result<unknown>): string => {
  if (result.ok) return 'went through'
  const [problem] = inEnglish(result.problems)
  return `${problem?.path}: ${problem?.fix}`
}
const must = async (result: Promise<Result<unknown>>) => expect(fixOf(await result)).toBe('went through')
const topUpOf = async () => (await listDue(database, now, setId)).find(({ kind }) => kind === 'topUp')!

const forecastsOf = () =>
  Promise.all(
    [setId, otherSetId].map((wheelSetId) => askForecast(database, now, 'forecastOfSet', { wheelSetId })),
  )

beforeAll(async () => {
  database = await openInMemory()
})
afterAll(() => database.close())
beforeEach(async () => {
  await database.query('delete from wheel_set')
  await database.query('delete from vehicle')
  setId = await addWheelSet(database, inputOf('Summer set'))
  const [owner] = await listVehicles(database, { name: '', most: 1 })
  otherSetId = await addWheelSet(database, inputOf('Winter set'), owner)
  await putLayerOn(database, setId, layer(), now)
})

describe('looks', () => {
  it('move the date at once, and say how', async () => {
    const before = await topUpOf()
    const said = await recordLook(database, setId, look(1), now)
    const after = await topUpOf()
    expect(after.at < before.at).toBe(true)
    expect(after.band!.until.getTime() - after.band!.from.getTime()).toBeLessThan(
      before.band!.until.getTime() - before.band!.from.getTime(),
    )
    if (!said.ok) throw new Error('refused')
    const front = said.value.find(({ axle }) => axle === 'front')!
    expect(front.movedDays).toBeLessThan(0)
    expect(front.topUpAt).toEqual(after.at)
  })

  it('sent twice count once', async () => {
    const twice = look(2)
    await recordLook(database, setId, twice, now)
    const once = await topUpOf()
    await recordLook(database, setId, twice, now)
    expect((await topUpOf()).at).toEqual(once.at)
  })

  it.each([
    ['before the layer was on', { secondsAgo: 60 * 86_400 }, 'No protection is on record there at that time'],
    ['at a wheel that is not there', { positions: ['thirdLeft'] }, 'This set has no such wheel'],
  ])('%s are refused, and nothing is written', async (_, changes, words) => {
    expect(fixOf(await recordLook(database, setId, look(2, changes), now))).toContain(words)
    expect(await database.query('select 1 from look')).toEqual([])
  })
})

describe('what is kept between requests', () => {
  it('is the same as worked out from nothing, after every kind of change', async () => {
    await forecastsOf()
    await putLayerOn(database, otherSetId, layer({ kind: 'wheelWax', productName: 'Hub Wax' }), now)
    await recordLook(database, setId, look(2), now)
    await recordLook(database, otherSetId, look(3), now)
    await changeWheels(database, (await findWheelSet(database, setId))!.vehicleId, change(setId), now)
    await tellDriving(database, setId, { kilometres: 10_000, at: daysAgo(50) }, now)
    await tellDriving(database, setId, { kilometres: 16_000, at: now }, now)
    await addVisit(database, {
      wheelSetId: setId, jobId: null, finishedAt: daysAgo(20), headline: 'Washed', result: 'clean', note: '', operatorSeconds: 3000,
      costMinor: 0, currency: 'EUR', products: [], service: 'maintain', wash: { wear: 0.1, reviving: false },
    }) // prettier-ignore
    const kept = await forecastsOf()
    forgetForecast(database)
    const fresh = await forecastsOf()
    expect(kept.map((one) => one?.facts)).toEqual(fresh.map((one) => one?.facts))
    fresh.forEach((of, at) => {
      for (const one of of!.layers) {
        const same = kept[at]!.layers.find((other) => other.id === one.id)!
        const days = (one.renew.p50.getTime() - same.renew.p50.getTime()) / 86_400_000
        expect(Math.abs(days)).toBeLessThan(2)
      }
    })
  })

  it('loses a set that is gone, and takes in a change whose number was overtaken', async () => {
    await forecastsOf()
    await database.query('delete from wheel_set where id = $1', [otherSetId])
    expect((await forecastsOf()).map((one) => one !== null)).toEqual([true, false])
    // Another process has its number already, but not yet its commit, while later ones are seen.
    const [{ number }] = (await database.query<{ number: number }>(
      `select nextval('protection_change_number')::int as number`,
    )) as [{ number: number }]
    await putLayerOn(database, setId, layer({ kind: 'wheelWax', productName: 'Later Wax' }), now)
    expect((await forecastsOf())[0]!.layers.some(({ id }) => id.includes('Later Wax'))).toBe(true)
    await database.query('update wheel_set set name = $2 where id = $1', [setId, 'Overtaken'])
    await database.query('update protection_change set number = $2 where wheel_set_id = $1', [setId, number])
    expect((await forecastsOf())[0]!.facts.setName).toBe('Overtaken')
  })

  it('follows a change of the vehicle’s driving without changing its past', async () => {
    const before = await topUpOf()
    const set = (await findWheelSet(database, setId))!
    const more = inputOf('Summer set')
    const outcome = await updateWheelSet(database, setId, { version: set.version, vehicleVersion: set.vehicleVersion }, {
      ...more,
      vehicle: { ...more.vehicle, kilometresPerWeek: 900 },
    }) // prettier-ignore
    expect(outcome).toBe('saved')
    // It was told today by the database's clock; by then the date had passed.
    expect((await topUpOf()).at).toEqual(before.at)
    const { facts } = (await forecastsOf())[0]!
    expect(facts.told.map(({ kilometresPerWeek }) => kilometresPerWeek)).toEqual([250, 900])
  })
})

describe('changes of wheels', () => {
  const vehicle = async () => (await findWheelSet(database, setId))!.vehicleId

  it('send the other set to storage, where it hardly ages, and ask for a torque check', async () => {
    await putLayerOn(database, otherSetId, layer({ at: daysAgo(40).toISOString() }), now)
    await must(
      changeWheels(
        database,
        await vehicle(),
        change(setId, { torqueNewtonMetres: 130, at: daysAgo(39).toISOString() }),
        now,
      ),
    )
    const due = await listDue(database, now)
    const at = (id: string) => due.find((item) => item.wheelSetId === id && item.kind === 'topUp')!.at
    expect(at(otherSetId) > at(setId)).toBe(true)
    const check = due.find(({ kind }) => kind === 'torqueCheck')!
    expect(check).toMatchObject({
      wheelSetId: setId,
      what: message('due.items.torque.what', { known: 'true', newtonMetres: { newtonMetres: 130 } }),
    })
    await must(markDone(database, check.key, now))
    expect((await listDue(database, now)).some(({ kind }) => kind === 'torqueCheck')).toBe(false)
  })

  it('count from the very second, though due things are worked out to the minute', async () => {
    const at = new Date('2026-06-10T09:00:42Z')
    await must(changeWheels(database, await vehicle(), change(otherSetId, { at: at.toISOString() }), at))
    const due = await listDue(database, at)
    expect(due.filter(({ kind }) => kind === 'torqueCheck').map(({ wheelSetId }) => wheelSetId)).toEqual([
      otherSetId,
    ])
  })

  it('refuse what cannot be, and write nothing of it', async () => {
    const id = await vehicle()
    await must(changeWheels(database, id, change(setId, { kilometres: 50_000 }), now))
    const refused = async (changes: object, mounted: string | null = otherSetId) =>
      fixOf(
        await changeWheels(database, id, change(mounted, { at: daysAgo(1).toISOString(), ...changes }), now),
      )
    expect(await refused({}, setId)).toContain('already fitted')
    expect(await refused({ at: daysAgo(3).toISOString() })).toContain('changed again after that')
    expect(await refused({ at: daysAgo(-1).toISOString() })).toContain('when the wheels are on')
    expect(await refused({ kilometres: 49_000 })).toContain('does not go back')
    expect(await refused({ kilometres: 1_050_000 })).toContain('Count the digits')
    expect(await refused({}, randomUUID())).toContain('another vehicle')
    expect(await database.query('select 1 from wheel_change')).toHaveLength(1)
    expect(await listReadings(database, id)).toHaveLength(1)
  })
})

describe('layers entered by hand', () => {
  it('put on elsewhere last year are on, with their coats; what came later stays on top', async () => {
    await must(
      putLayerOn(
        database,
        setId,
        layer({ kind: 'wheelWax', productName: 'Old Wax', at: daysAgo(300).toISOString() }),
        now,
      ),
    )
    const names = (await liveProtection(database, setId, now)).map(({ productName }) => productName)
    expect(new Set(names)).toEqual(new Set(['Long Coat']))
  })

  it('new wheels have nothing on them', async () => {
    await must(
      renewWheels(
        database,
        setId,
        v.parse(renewalInput, { requestId: randomUUID(), positions: ['frontLeft'], kind: 'repainted' }),
        now,
      ),
    )
    const left = (await liveProtection(database, setId, now)).map(({ position }) => position)
    expect(left).not.toContain('frontLeft')
    expect(left).toContain('frontRight')
  })

  it.each([
    ['tomorrow', { at: daysAgo(-1).toISOString() }, 'in the past'],
    ['cured before it was on', { cureUntil: daysAgo(50).toISOString() }, 'can’t be cured before'],
    ['on a corner that is not there', { positions: ['front'] }, 'no such wheel'],
  ])('%s are refused', async (_, changes, words) => {
    expect(fixOf(await putLayerOn(database, setId, layer(changes), now))).toContain(words)
  })

  it('ten hours after coating nothing wet is planned, and no hour within the cure is taken', async () => {
    await must(
      putLayerOn(
        database,
        setId,
        layer({
          kind: 'ceramicCoating',
          productName: 'Stone Skin',
          at: new Date(now.getTime() - 36e6).toISOString(),
        }),
        now,
      ),
    )
    const intake = v.parse(intakeInput, {
      corners: positions.map((position) => ({ position, loads: [{ zone: 'face', soil: 'film', grade: 2 }] })),
    })
    const planned = await planJob(database, setId, intake, now)
    if (!planned.ok) throw new Error(inEnglish(planned.problems)[0]!.fix)
    expect(planned.value.plan.stages).toEqual([])
    const later = v.parse(intakeInput, {
      ...intake,
      conditions: { startAt: new Date(now.getTime() + 86_400_000).toISOString() },
    })
    const tomorrow = await planJob(database, setId, later, now)
    if (!tomorrow.ok) throw new Error(inEnglish(tomorrow.problems)[0]!.fix)
    expect(tomorrow.value.plan.stages.length).toBeGreaterThan(0)
    const at = (hours: number) => new Date(now.getTime() + hours * 3_600_000)
    expect(fixOf(await planFor(database, tomorrow.value.jobId, at(2), now))).toContain(
      'Stone Skin is still curing',
    )
    expect(fixOf(await planFor(database, tomorrow.value.jobId, at(-2), now))).toContain('in the future')
    await must(planFor(database, tomorrow.value.jobId, at(20), now))
  })
})

describe('the due list', () => {
  it('lets things be put off, and a top-up that is done starts anew', async () => {
    const { key } = await topUpOf()
    await must(snooze(database, key, daysAgo(-7), now))
    expect((await listDue(database, now, setId)).some((item) => item.key === key)).toBe(false)
    expect(fixOf(await snooze(database, key, daysAgo(1), now))).toContain('no longer due')
    await database.query('delete from due_mark')
    expect(fixOf(await snooze(database, key, daysAgo(1), now))).toContain('in the future')
    const before = await topUpOf()
    // Tapped on two devices at once, it is put on once.
    const [one, other] = await Promise.all([markDone(database, key, now), markDone(database, key, now)])
    expect([one, other].filter(({ ok }) => ok)).toHaveLength(1)
    expect(await liveProtection(database, setId, now)).toHaveLength(positions.length)
    const after = await topUpOf()
    expect(after.at > before.at).toBe(true)
    expect((await liveProtection(database, setId, now)).every(({ appliedAt }) => appliedAt >= now)).toBe(true)
  })
})

describe('marks', () => {
  it('bringing back what was put off leaves what was done before', async () => {
    await mark(database, 'resin', null, { snoozedUntil: null, doneAt: daysAgo(60) })
    await mark(database, 'resin', null, { snoozedUntil: daysAgo(-7), doneAt: null })
    await unmark(database, 'resin', now)
    expect((await listMarks(database)).get('resin')).toEqual({ snoozedUntil: null, doneAt: daysAgo(60) })
    await unmark(database, 'resin', now)
    expect((await listMarks(database)).size).toBe(0)
  })

  it('a cure by the label goes before that of its kind', async () => {
    const cureUntil = daysAgo(-3)
    await putLayerOn(
      database,
      setId,
      layer({
        kind: 'ceramicCoating',
        productName: 'Stone Skin',
        at: daysAgo(2).toISOString(),
        cureUntil: cureUntil.toISOString(),
      }),
      now,
    )
    const [coating] = (await liveProtection(database, setId, now)).filter(
      ({ kind }) => kind === 'ceramicCoating',
    )
    expect(coating).toMatchObject({ isCuring: true, curesUntil: cureUntil })
  })
})

describe('the calendar', () => {
  it('is read back by another library: days as days, hours right over a change of clocks, the same names every time', async () => {
    const intake = v.parse(intakeInput, { corners: [{ position: 'frontLeft', loads: [] }] })
    const planned = await planJob(database, setId, intake, now)
    if (!planned.ok) throw new Error('not planned')
    // The night the clocks change, in Europe and nowhere else.
    const at = new Date('2026-10-25T00:30:00Z')
    await setPlannedFor(database, planned.value.jobId, at)
    const text = await shopCalendar(database, now)
    expect(text.startsWith('BEGIN:VCALENDAR')).toBe(true)
    expect(text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75)).toBe(true)
    const events = readCalendar(text)
    const job = events.find(({ allDay }) => !allDay)!
    expect(job.start).toEqual(at)
    expect(job.summary).toContain('Orlen Tessaly')
    const topUp = events.find(({ summary }) => summary.startsWith('Top up Long Coat'))!
    expect(topUp).toMatchObject({ allDay: true, alarms: 1 })
    expect(topUp.description).toContain('Likely range (8 in 10)')
    const due = await topUpOf()
    expect(topUp.start.getDate()).toBe(due.at.getDate())
    const later = readCalendar(await shopCalendar(database, new Date(now.getTime() + 3_600_000)))
    expect(later.map(({ uid }) => uid).sort()).toEqual(events.map(({ uid }) => uid).sort())
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length)
    expect(
      (await listOpenJobs(database)).some(({ plannedFor }) => plannedFor?.getTime() === at.getTime()),
    ).toBe(true)
  })
})

describe('data of the version before', () => {
  it('opens, and what was put on then gets a forecast', async () => {
    const all = readMigrations()
    const old = await openInMemory(all.filter(({ name }) => name < '0011'))
    await old.query(`with v as (insert into vehicle (name, kind) values ('Old Car', 'car') returning id)
      insert into wheel_set (id, vehicle_id, name) select '00000000-0000-4000-8000-000000000001', id, 'Set' from v`)
    await old.query(`insert into wheel (wheel_set_id, position, tyre_code, rim_width_inches, spoke_count, spoke_width_millimetres,
        spoke_depth_millimetres) select id, 'frontLeft', '205/55 R16', 7, 5, 30, 45 from wheel_set`)
    await old.query(`insert into protection_layer (wheel_set_id, position, kind, product_name, applied_at)
      select id, 'frontLeft', 'spraySealant', 'Seal', timestamptz '2026-05-20T10:00:00Z' from wheel_set`)
    await old.query(`insert into visit (wheel_set_id, finished_at, headline, result, operator_seconds, cost_minor, currency)
      select id, timestamptz '2026-05-20T10:00:00Z', 'Washed', 'clean', 3000, 0, 'EUR' from wheel_set`)
    await migrate(old, all)
    const due = await listDue(old, now)
    expect(due.map(({ what }) => what)).toContainEqual(
      message('due.items.topUp.what', { product: 'Seal', where: 'front' }),
    )
    expect((await askForecast(old, now, 'comparison', null)).calibration).toEqual({
      looks: 0,
      inside: 0,
      widen: 1,
    })
    await old.close()
  })
})
