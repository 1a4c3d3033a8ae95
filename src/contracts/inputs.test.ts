import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import type * as v from 'valibot'
import { describe, expect, it } from 'vitest'
import { bottleInput } from './bottle'
import { isUuid } from './fields'
import { finishInput, intakeInput } from './intake'
import { planChange } from './planChange'
import { parse } from './problems'
import { runEventInput } from './runEvent'
import { settings } from './settings'
import { wheelSetInput } from './wheelSet'

const tap = {
  kind: 'done',
  stepId: 'lookRound',
  at: '2026-05-01T08:30:00.000Z',
  requestId: '6d2b5cf2-6d0e-4c57-9f0a-8c54c2f6f8f1',
}
const bottle = { productId: 'one', fraction: 0.1, totalMillilitres: 500 }
const intake = { corners: [{ position: 'frontLeft', loads: [] }] }
const wheel = { position: 'frontLeft', tyreCode: '255/35 R19', rimWidthInches: 8.5, spokeCount: 10 }
const set = { vehicle: { name: 'Orlen Tessaly', kind: 'car' }, name: 'Summer set', wheels: [wheel] }
const entry = { stepId: 'a', person: 0, startSeconds: 0, endSeconds: 5 }

const schemas = { runEventInput, bottleInput, intakeInput, finishInput, planChange, settings, wheelSetInput }
const good: Record<keyof typeof schemas, object> = {
  runEventInput: tap,
  bottleInput: bottle,
  intakeInput: intake,
  finishInput: { result: 'clean' },
  planChange: { order: [entry], people: 2 },
  settings: {},
  wheelSetInput: set,
}
const problemsOf = (name: keyof typeof schemas, input: unknown) => {
  const read = parse(schemas[name] as v.GenericSchema, input)
  return read.ok ? [] : inEnglish(read.problems)
}

it.each(Object.entries(good))('%s takes what is right', (name, input) => {
  expect(problemsOf(name as keyof typeof schemas, input)).toEqual([])
})

it.each([
  ['an answer without its kind', { ...tap, answer: { question: 'look', stayed: [] } }, 'answer'],
  ['the kind without an answer', { ...tap, kind: 'answered' }, 'answer'],
  [
    'a foam of another colour',
    { ...tap, kind: 'answered', answer: { question: 'foam', foam: 'pink' } },
    'answer.foam',
  ],
  [
    'a question of another kind',
    { ...tap, kind: 'answered', answer: { question: 'weather' } },
    'answer.question',
  ],
  [
    'the same spot twice',
    {
      ...tap,
      kind: 'answered',
      answer: { question: 'look', stayed: Array.from({ length: 2 }, () => ({ zone: 'face', soil: 'tar' })) },
    },
    'answer.stayed',
  ],
])('runEventInput refuses %s', (_, input, path) => {
  expect(problemsOf('runEventInput', input).map((problem) => problem.path)).toContain(path)
})

it.each(Object.keys(schemas))('%s refuses what it does not know', (name) => {
  const input = { ...good[name as keyof typeof schemas], surprise: 1 }
  expect(problemsOf(name as keyof typeof schemas, input)[0]).toMatchObject({
    path: 'surprise',
    fix: expect.stringContaining('not known') as string,
  })
})

it.each([
  ['runEventInput', { ...tap, kind: 'wiped' }, 'kind', /Use one of: done/],
  ['runEventInput', { ...tap, at: 'soon' }, 'at', /Write the time as/],
  ['runEventInput', { ...tap, at: '2026-05-01' }, 'at', /Write the time as/],
  ['runEventInput', { ...tap, requestId: '1' }, 'requestId', /UUID/],
  ['runEventInput', { ...tap, person: 2 }, 'person', /0 or 1/],
  ['runEventInput', { ...tap, stepId: '' }, 'stepId', /Enter the step/],
  ['runEventInput', { ...tap, stepId: 'x'.repeat(121) }, 'stepId', /120 characters/],
  ['bottleInput', { ...bottle, fraction: 0 }, 'fraction', /0\.00005 to 1/],
  ['bottleInput', { ...bottle, fraction: '10 %' }, 'fraction', /number/],
  ['bottleInput', { ...bottle, totalMillilitres: 0 }, 'totalMillilitres', /ml/],
  ['bottleInput', { ...bottle, totalMillilitres: Infinity }, 'totalMillilitres', /ml/],
  ['bottleInput', { ...bottle, mixedBy: 'x'.repeat(81) }, 'mixedBy', /80 characters/],
  ['intakeInput', { corners: [] }, 'corners', /at least one wheel/],
  ['intakeInput', { corners: [intake.corners[0], intake.corners[0]] }, 'corners', /once/],
  ['intakeInput', { ...intake, people: 0 }, 'people', /1 to 2/],
  ['intakeInput', { ...intake, people: 1.5 }, 'people', /whole/],
  ['intakeInput', { ...intake, kilometres: -1 }, 'kilometres', /km/],
  ['intakeInput', { ...intake, conditions: { humidityPercent: 101 } }, 'conditions.humidityPercent', /100/],
  ['intakeInput', { ...intake, conditions: { airCelsius: 80 } }, 'conditions.airCelsius', /50 °C/],
  [
    'intakeInput',
    { ...intake, conditions: { windKilometresPerHour: -3 } },
    'conditions.windKilometresPerHour',
    /km\/h/,
  ],
  [
    'intakeInput',
    { corners: [{ position: 'frontLeft', loads: [{ zone: 'face', soil: 'film', grade: 5 }] }] },
    'corners[0].loads[0].grade',
    /./,
  ],
  ['finishInput', { result: 'fine' }, 'result', /Use one of/],
  ['finishInput', { result: 'clean', note: 'x'.repeat(2001) }, 'note', /2,000/],
  ['planChange', { people: 3 }, 'people', /1 to 2/],
  ['planChange', { order: [{ ...entry, person: 2 }] }, 'order[0].person', /0 to 1/],
  ['planChange', { order: [{ ...entry, startSeconds: -1 }] }, 'order[0].startSeconds', /seconds/],
  ['planChange', { order: Array.from({ length: 2001 }, () => entry) }, 'order', /2,000 steps/],
  ['planChange', { wishes: { minutesAllowed: 0 } }, 'wishes.minutesAllowed', /minutes/],
  ['settings', { currency: 'euro' }, 'currency', /three-letter/],
  ['settings', { place: { latitude: 200, longitude: 0 } }, 'place.latitude', /-90 to 90/],
  ['settings', { place: { latitude: 0 } }, 'place.longitude', /missing/],
  ['settings', { equipment: { bucketLitres: 0 } }, 'equipment.bucketLitres', /1 l to 50 l/],
  ['settings', { shopName: '   ' }, 'shopName', /Enter the shop name/],
  ['settings', { shopName: 'a\tb' }, 'shopName', /tabs/],
  ['settings', { estimates: { wetMargin: 40 } }, 'estimates.wetMargin', /Enter a number/],
  ['settings', { schools: { tyre: 'never' } }, 'schools.tyre', /./],
  ['wheelSetInput', { ...set, wheels: [] }, 'wheels', /./],
  ['wheelSetInput', { ...set, wheels: [wheel, wheel] }, 'wheels', /once/],
  ['wheelSetInput', { ...set, wheels: [{ ...wheel, tyreCode: '255' }] }, 'wheels[0].tyreCode', /./],
  ['wheelSetInput', { ...set, wheels: [{ ...wheel, spokeCount: 2.5 }] }, 'wheels[0].spokeCount', /whole/],
  [
    'wheelSetInput',
    {
      ...set,
      wheels: [
        {
          ...wheel,
          finishes: [
            { zone: 'face', finish: 'paintedGloss' },
            { zone: 'face', finish: 'matte' },
          ],
        },
      ],
    },
    'wheels[0].finishes',
    /each zone once/,
  ],
] as const)('%s refuses %j at %s', (name, input, path, fix) => {
  const problems = problemsOf(name, input)
  expect(problems.map((one) => one.path)).toContain(path)
  expect(problems.find((one) => one.path === path)?.fix).toMatch(fix)
})

describe('whatever comes', () => {
  it.each(Object.keys(schemas))('%s answers with problems and never throws', (name) => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        for (const { fix } of problemsOf(name as keyof typeof schemas, value)) expect(fix).not.toBe('')
      }),
    )
  })

  it.each(Object.entries(good))('%s with one field broken never throws either', (name, input) => {
    fc.assert(
      fc.property(fc.constantFrom('', ...Object.keys(input)), fc.jsonValue(), (key, value) => {
        for (const { fix } of problemsOf(name as keyof typeof schemas, {
          ...input,
          ...(key ? { [key]: value } : {}),
        }))
          expect(fix).not.toBe('')
      }),
    )
  })
})

it.each([
  ['6d2b5cf2-6d0e-4c57-9f0a-8c54c2f6f8f1', true],
  ['6d2b5cf2', false],
  ['', false],
  ["'; drop table job; --", false],
])('%j is an id: %s', (text, isOne) => expect(isUuid(text)).toBe(isOne))
