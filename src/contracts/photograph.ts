import { issueText } from './issueText'
import { startOfDay } from './day'
import * as v from 'valibot'
import { positions } from '@/core/wheel/position'
import { listOf, oneOf, requestId, secondsAgo, wholeNumberFrom } from './fields'

/** `whole`: to look at; `small`: for lists. */
export const photographSizes = ['whole', 'small'] as const
export type PhotographSize = (typeof photographSizes)[number]

/** Of the file that is sent; a browser shrinks it before. */
export const maxPhotoBytes = 800_000

/** Sixty years. */
const maxAgeSeconds = 60 * 366 * 86_400

/** A photograph of wheels of a set, as a JPEG file in Base64. */
export const photographInput = v.strictObject({
  requestId,
  jobId: v.optional(v.nullable(v.pipe(v.string(), v.uuid(issueText('problems.photo.job')))), null),
  /** Empty: of the whole set. */
  positions: v.optional(listOf(oneOf(positions), positions.length, issueText('fields.oneEntry')), []),
  /** Since it was taken, which may have been long before it is chosen. */
  secondsAgo: secondsAgo(maxAgeSeconds),
  jpeg: v.pipe(
    v.string(),
    v.maxLength(Math.ceil(maxPhotoBytes / 3) * 4, issueText('problems.photo.size', { most: maxPhotoBytes })),
    v.base64(issueText('problems.photo.base64')),
  ),
})
export type PhotographInput = v.InferOutput<typeof photographInput>

/** Photographs to throw away: those taken before a day, and how many a person was told that are. */
export const photographRoomInput = v.strictObject({
  before: v.pipe(
    v.string(),
    v.isoDate(issueText('fields.day')),
    v.transform(startOfDay),
    v.check((day) => !Number.isNaN(day.getTime()), issueText('fields.validDate')),
  ),
  count: wholeNumberFrom(1, 1_000_000),
})
