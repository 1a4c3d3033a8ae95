import * as v from 'valibot'

/** What may change while somebody looks: everything, a job, what is due, the stock, the wheel sets, a device. */
export const liveTopics = ['all', 'job', 'due', 'stock', 'sets', 'device'] as const
export type LiveTopic = (typeof liveTopics)[number]

/** Something that changed; what it is now is asked for as ever. */
export const liveChange = v.strictObject({
  topic: v.picklist(liveTopics),
  /** Which job or device; null: no one in particular. */
  of: v.nullable(v.string()),
})
export type LiveChange = v.InferOutput<typeof liveChange>
