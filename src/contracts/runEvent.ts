import { issueText } from './issueText'
import * as v from 'valibot'
import { foams, ironSights, roundPlaces, spotSights } from '@/core/run/answer'
import { runEventKinds } from '@/core/run/runEvent'
import { soils } from '@/core/soils/soil'
import { zones } from '@/core/wheel/zone'
import { list, oneOf, requestId, shortText } from './fields'
import { lookGrade } from './protection'

/** What was found to have stayed, and where. */
export const stayedEntry = v.strictObject({ zone: oneOf(zones), soil: oneOf(soils) })

const everySpotOnce = issueText('problems.tap.leftoverOnce')

/** What the person saw at a step that asks. */
export const answerInput = v.variant(
  'question',
  [
    v.strictObject({
      question: v.literal('foam'),
      foam: oneOf(foams),
      place: v.optional(oneOf(roundPlaces)),
    }),
    v.strictObject({ question: v.literal('iron'), iron: oneOf(ironSights) }),
    v.strictObject({
      question: v.literal('look'),
      stayed: v.pipe(
        list(stayedEntry, 20, 'spots'),
        v.check(
          (stayed) => new Set(stayed.map(({ zone, soil }) => `${zone} ${soil}`)).size === stayed.length,
          everySpotOnce,
        ),
      ),
      beading: v.optional(lookGrade),
    }),
    v.strictObject({
      question: v.literal('testSpot'),
      spot: oneOf(spotSights),
      stageId: v.optional(shortText('stage', 120)),
    }),
  ],
  issueText('fields.oneOf', { values: 'foam, iron, look, testSpot' }),
)

/** One tap in the bay. `at` is the person's moment, so that a tap sent late still counts from when it was made. */
export const runEventInput = v.pipe(
  v.strictObject({
    kind: oneOf(runEventKinds),
    stepId: shortText('step', 120),
    at: v.pipe(v.string(), v.isoTimestamp(issueText('fields.instant'))),
    /** Who tapped; not said where one works alone. */
    person: v.optional(v.picklist([0, 1], issueText('problems.tap.person'))),
    /** What was seen; with "answered" only. */
    answer: v.optional(answerInput),
    requestId,
  }),
  v.forward(
    v.check(
      ({ kind, answer }) => (kind === 'answered') === (answer !== undefined),
      issueText('problems.tap.answer'),
    ),
    ['answer'],
  ),
)

export type RunEventInput = v.InferOutput<typeof runEventInput>

/** Taps that were made after a job was ended on another device, to be added to its visit. */
export const visitCorrection = v.strictObject({
  taps: v.pipe(
    list(
      v.object({
        kind: oneOf(runEventKinds),
        stepId: shortText('step', 120),
        at: v.pipe(v.string(), v.isoTimestamp()),
      }),
      200,
      'taps',
    ),
    v.minLength(1, issueText('problems.tap.none')),
  ),
})
export type VisitCorrection = v.InferOutput<typeof visitCorrection>
