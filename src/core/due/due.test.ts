import { message } from '@/core/message/message'
import { describe, expect, it } from 'vitest'
import { followSet } from '@/core/protection/followed'
import { followingOf } from '@/core/protection/forecast'
import { wearEstimatesOf } from '@/core/protection/houseWear'
import { learnFrom } from '@/core/protection/learn'
import { productId, setRecordOf, type LookFacts, type SetFacts } from '@/core/protection/setHistory'
import { setForecast } from '@/core/protection/setForecast'
import type { Position } from '@/core/wheel/position'
import { careAdvice } from './careCard'
import { dueLists, oneVisitFor, weekWorth, type DueShop } from './dueList'
import { addDays, type DueItem, type DueMark } from './dueItem'
import type { DueSet } from './dueSet'

const now = new Date('2026-07-15T09:00:00Z')
const ago = (days: number) => addDays(now, -days)
const estimates = wearEstimatesOf({}, { winterMonths: [11, 12, 1, 2, 3], salt: 'usual' })
const fronts: Position[] = ['frontLeft', 'frontRight']
const rears: Position[] = ['rearLeft', 'rearRight']

type Layer = SetFacts['layers'][number]
const layer = (changes: Partial<Layer> = {}): Layer[] =>
  [
    { axle: 'front' as const, positions: fronts },
    { axle: 'rear' as const, positions: rears },
  ].map((axle) => ({
    ...axle, kind: 'spraySealant', productName: 'Seal', appliedAt: ago(30), endedAt: null, coats: 1, ...changes,
  })) // prettier-ignore

const factsOf = (changes: Partial<SetFacts> = {}): SetFacts => ({
  id: 'set', parked: null, season: null, dustFactor: { front: 1, rear: 1 },
  told: [{ from: ago(400), kilometresPerWeek: 250 }], readings: [], changes: [], isOnlySet: true, layers: layer(),
  washes: [], looks: [], ...changes,
}) // prettier-ignore

function setOf(facts: SetFacts, changes: Partial<DueSet> = {}): DueSet {
  const products = facts.layers.map((one) => ({ id: productId(one), kind: one.kind }))
  const unique = [...new Map(products.map((product) => [product.id, product])).values()]
  const following = followingOf(now, estimates, unique)
  const followed = followSet(setRecordOf(facts, {}), following)
  const learnt = learnFrom([followed], unique, estimates).held
  return {
    facts, forecast: setForecast(followed, learnt, following.now, 1), vehicleId: 'vehicle', vehicleKind: 'car', isMounted: true,
    cureUntil: new Map(), lastVisits: new Map(), firstVisitAt: null, lastVisitAt: null, lastFitting: null, kilometresPerWeek: 250,
    ...changes,
  } // prettier-ignore
}

const shopOf = (sets: readonly DueSet[], changes: Partial<DueShop> = {}): DueShop => ({
  sets, tools: [], bottles: [], filter: null, reminders: [], marks: new Map(), estimates, ...changes,
}) // prettier-ignore
const due = (shop: DueShop, at = now) => dueLists(shop, { now: at, overrides: {} }).open
const marked = (key: string, mark: Partial<DueMark>) =>
  new Map([[key, { snoozedUntil: null, doneAt: null, ...mark }]])
const kinds = (items: readonly DueItem[]) => items.map(({ kind }) => kind)
const look = (beading: LookFacts['beading'], days: number, afterReviving = false): LookFacts => ({
  at: ago(days), positions: fronts, beading, release: null, slickness: null, afterReviving,
}) // prettier-ignore

describe('protection that is due', () => {
  it('is topped up first, fronts deciding, and renewed once it is used up', () => {
    const [fresh] = due(shopOf([setOf(factsOf())]))
    expect(fresh).toMatchObject({
      kind: 'topUp',
      what: message('due.items.topUp.what', { product: 'Seal', where: 'all' }),
      canBeDone: true,
    })
    expect(fresh!.band!.from < fresh!.at && fresh!.at < fresh!.band!.until).toBe(true)
    const [old] = due(shopOf([setOf(factsOf({ layers: layer({ appliedAt: ago(300) }) }))]))
    expect(old).toMatchObject({ kind: 'renewal', remedy: { kind: 'visit', service: 'decontaminate' } })
    expect(old!.again?.positions).toEqual(expect.arrayContaining([...fronts, ...rears]))
  })

  it('has an axle due by itself where its day is far from the other one', () => {
    const rearsLikeNew = { ...look(4, 1, true), positions: rears }
    const items = due(shopOf([setOf(factsOf({ looks: [look(2, 1, true), rearsLikeNew] }))]))
    const topUps = items.filter(({ kind }) => kind === 'topUp')
    expect(topUps.map(({ what }) => what.values?.where)).toEqual(['front', 'rear'])
    expect(topUps.map(({ again }) => again?.positions)).toEqual([fronts, rears])
    expect(new Set(topUps.map(({ key }) => key)).size).toBe(2)
    const [first, second] = topUps
    expect(first!.at < second!.at).toBe(true)
  })

  it('is renewed on the axle where water lies flat right after a reviving wash, and topped up on the other', () => {
    const rearsLikeNew = { ...look(4, 1, true), positions: rears }
    const items = due(shopOf([setOf(factsOf({ looks: [look(0, 1, true), rearsLikeNew] }))]))
    expect(items.map(({ kind, what }) => [kind, what.values?.where])).toEqual(
      expect.arrayContaining([
        ['renewal', 'front'],
        ['topUp', 'rear'],
      ]),
    )
    const renewal = items.find(({ kind }) => kind === 'renewal')!
    expect(renewal.at <= now).toBe(true)
    expect(renewal.band).toBeNull()
  })

  it('asks for a reviving wash before any renewal where a young layer looks bad, and believes the look after it', () => {
    const young = { layers: layer({ appliedAt: ago(20) }) }
    const [clogged] = due(shopOf([setOf(factsOf({ ...young, looks: [look(1, 4)] }))]))
    expect(clogged).toMatchObject({ kind: 'reviving', remedy: { service: 'coatedMaintenance' } })
    const revived = setOf(factsOf({ ...young, looks: [look(1, 4), look(3, 3, true)] }))
    expect(kinds(due(shopOf([revived])))).toEqual(['topUp'])
    const gone = setOf(factsOf({ ...young, looks: [look(1, 4), look(1, 3, true)] }))
    const [renew] = due(shopOf([gone]))
    expect(renew).toMatchObject({ kind: 'renewal', sureness: 'sure' })
    expect(renew!.at <= now).toBe(true)
  })

  it('a 1:4 degreaser moves the date nearer, and storage farther', () => {
    const [plain] = due(shopOf([setOf(factsOf())]))
    const harsh = factsOf({ washes: [{ at: ago(5), wear: 0.4, reviving: false }] })
    expect(due(shopOf([setOf(harsh)]))[0]!.at < plain!.at).toBe(true)
    const stored = factsOf({ changes: [{ at: ago(29), mountedSetId: 'other' }], isOnlySet: false })
    expect(addDays(plain!.at, 90) < due(shopOf([setOf(stored)]))[0]!.at).toBe(true)
  })

  it('tyres and liners are dressed when the dressing is gone', () => {
    const facts = factsOf({
      layers: [
        ...layer({ kind: 'tyreDressingWater', productName: 'Wall', appliedAt: ago(20) }),
        ...layer({ kind: 'linerDressing', productName: 'Dark', appliedAt: ago(20) }),
      ],
    })
    expect(kinds(due(shopOf([setOf(facts)])))).toEqual(['tyreDressing', 'trim'])
  })
})

describe('what else falls due', () => {
  it('what needs no cure is never waited for, even in the minute it was put on', () => {
    const wet = factsOf({
      layers: layer({ kind: 'sprayRinseSilica', appliedAt: new Date(now.getTime() + 20_000) }),
    })
    expect(kinds(due(shopOf([setOf(wet)])))).not.toContain('cureOver')
  })

  it('a cure is over when its label says so, else by its kind', () => {
    const facts = factsOf({
      layers: layer({ kind: 'ceramicCoating', productName: 'Skin', appliedAt: ago(10 / 24) }),
    })
    const [cure] = due(shopOf([setOf(facts)]))
    expect(cure).toMatchObject({
      kind: 'cureOver',
      what: message('due.items.cure.what', { product: 'Skin' }),
    })
    expect(cure!.at).toEqual(addDays(now, 14 / 24))
    const told = new Map(
      facts.layers.map(({ axle }) => [
        `set ${axle} ceramicCoating ${ago(10 / 24).getTime()} Skin`,
        addDays(now, 3),
      ]),
    )
    expect(due(shopOf([setOf(facts, { cureUntil: told })]))[0]!.at).toEqual(addDays(now, 3))
    expect(kinds(due(shopOf([setOf(facts)]), addDays(now, 1)))).not.toContain('cureOver')
  })

  it('nuts are checked after a fitting, by usual driving or the odometer, and it goes when done', () => {
    const fitting = { at: ago(1), torqueNewtonMetres: 120 }
    const set = (changes: Partial<SetFacts> = {}, more: Partial<DueSet> = {}) =>
      setOf(factsOf({ layers: [], ...changes }), { lastFitting: fitting, ...more })
    const [check] = due(shopOf([set()]))
    expect(check).toMatchObject({
      kind: 'torqueCheck',
      what: message('due.items.torque.what', { known: 'true', newtonMetres: { newtonMetres: 120 } }),
    })
    expect(check!.at).toEqual(addDays(fitting.at, 1.4))
    const readings = [
      { at: ago(2), kilometres: 1000 },
      { at: ago(0.5), kilometres: 1060 },
    ]
    expect(due(shopOf([set({ readings })]))[0]!.at).toEqual(ago(0.5))
    expect(due(shopOf([set({}, { kilometresPerWeek: 0 })]))[0]!.at).toEqual(addDays(fitting.at, 14))
    expect(due(shopOf([set()], { marks: marked(check!.key, { doneAt: now }) }))).toEqual([])
    expect(due(shopOf([set()]), addDays(now, 130))).toEqual([])
  })

  it('decontamination comes round twice a year, wheels off only where it was wanted before', () => {
    const visited = { firstVisitAt: ago(400), lastVisitAt: ago(20) }
    const bare = factsOf({ layers: [] })
    expect(kinds(due(shopOf([setOf(bare, visited)])))).toEqual(['decontamination'])
    const worked = setOf(bare, { ...visited, lastVisits: new Map([['wheelsOff', ago(100)]]) })
    const items = due(shopOf([worked]))
    expect(kinds(items).sort()).toEqual(['decontamination', 'wheelsOff'])
    for (const { at } of items) expect(at).toEqual(addDays(ago(100), 182))
    const key = items.find(({ kind }) => kind === 'decontamination')!.key
    const after = due(shopOf([worked], { marks: marked(key, { doneAt: ago(1) }) }))
    expect(after.find((item) => item.key === key)!.at).toEqual(addDays(ago(1), 182))
    expect(due(shopOf([setOf(bare, { ...visited, isMounted: false })]))).toEqual([])
  })

  it('the other set goes on when its season comes', () => {
    const summer = setOf(factsOf({ id: 'summer', season: 'summer', layers: [] }))
    const winter = setOf(factsOf({ id: 'winter', season: 'winter', layers: [] }), { isMounted: false })
    expect(due(shopOf([summer, winter]))).toMatchObject([
      { kind: 'seasonChange', wheelSetId: 'winter', what: message('due.items.season.what', { season: 'winter' }), at: addDays(new Date('2026-11-01T09:00:00Z'), -14) },
    ]) // prettier-ignore
    expect(due(shopOf([summer]))).toEqual([])
    const [late] = due(shopOf([summer, winter]), new Date('2026-12-05T09:00:00Z'))
    expect(late!.at).toEqual(new Date('2026-11-01T09:00:00Z'))
    // Done is done, in the new year, too.
    const done = shopOf([summer, winter], {
      marks: marked(late!.key, { doneAt: new Date('2026-12-06T09:00:00Z') }),
    })
    expect(due(done, new Date('2027-02-05T09:00:00Z'))).toEqual([])
  })

  it('resin by litres and hardness, or at once where solids come through', () => {
    const filter = {
      resinLitres: 8, hardnessPpm: 250, litresPerVisit: 16, filledAt: ago(60), visitsSinceFilled: 25, visitsPerDay: 0.5, lastAfterPpm: null,
    } // prettier-ignore
    const [resin] = due(shopOf([], { filter }))
    // 8 l × 25 g/l / 0.25 g/l = 800 l; 400 have gone, 8 a day.
    expect(resin!.at).toEqual(addDays(now, 50))
    const [spent] = due(shopOf([], { filter: { ...filter, lastAfterPpm: { at: ago(1), ppm: 14 } } }))
    expect(spent).toMatchObject({ at: now, sureness: 'sure' })
    const [unknown] = due(shopOf([], { filter: { ...filter, filledAt: null } }))
    expect(unknown!.at).toEqual(addDays(now, 100))
  })

  it('tools, bottles and reminders', () => {
    const shop = shopOf([], {
      tools: [
        { id: 'a', name: 'lug brush', state: 'dropped' },
        { id: 'b', name: 'wand', state: 'clean' },
      ],
      bottles: [{ id: 'x', productName: 'Suds', mixedAt: ago(50) }],
      reminders: [{ id: 'r', wheelSetId: null, about: 'Towels', dueOn: addDays(now, 3), repeatDays: 10 }],
    })
    const items = due(shop)
    expect(kinds(items)).toEqual(['tool', 'reminder', 'bottle'])
    const done = marked('reminder r', { doneAt: addDays(now, 4) })
    expect(
      due({ ...shop, marks: done }, addDays(now, 4)).find(({ kind }) => kind === 'reminder')!.at,
    ).toEqual(addDays(now, 14))
  })
})

describe('the list', () => {
  it('leaves out what is put off until its day', () => {
    const shop = shopOf([setOf(factsOf())])
    const [{ key } = { key: '' }] = due(shop)
    const snoozed = { ...shop, marks: marked(key, { snoozedUntil: addDays(now, 7) }) }
    expect(due(snoozed)).toEqual([])
    expect(kinds(dueLists(snoozed, { now, overrides: {} }).putAway)).toEqual(['topUp'])
    expect(kinds(due(snoozed, addDays(now, 8)))).toEqual(['topUp'])
  })

  it('knows the service that does several things in one visit', () => {
    const items = due(
      shopOf([
        setOf(factsOf({ layers: [...layer({ appliedAt: ago(90) }), ...layer({ kind: 'tyreDressingWater', productName: 'Wall' })] }), {
          firstVisitAt: ago(400), lastVisitAt: ago(20),
        }),
      ]),
    ) // prettier-ignore
    expect(items).toHaveLength(3)
    expect(oneVisitFor(items)).toBe('decontaminate')
    expect(oneVisitFor(items.filter(({ kind }) => kind === 'tyreDressing'))).toBe('quickRound')
    expect(oneVisitFor([])).toBeNull()
  })

  it('has loose nuts before everything else of the week', () => {
    const set = setOf(factsOf({ layers: layer({ appliedAt: ago(300) }) }), {
      lastFitting: { at: ago(2), torqueNewtonMetres: null },
    })
    const week = weekWorth(due(shopOf([set])), now)
    expect(kinds(week)).toEqual(['torqueCheck', 'renewal'])
  })
})

describe('the care card', () => {
  it('follows what is on the wheels and what they are made of', () => {
    const matte = careAdvice(['matteSealant'], ['matte'])
    expect(matte.never).toContainEqual(message('due.care.advice.never.matte'))
    expect(careAdvice([], ['polishedBare']).never).toContainEqual(message('due.care.advice.never.bare'))
    expect(careAdvice(['ceramicCoating'], ['glossBlack']).wash).toContainEqual(
      message('due.care.advice.wash.coated'),
    )
  })
})
