import { asIssue, issueText } from './issueText'
import * as v from 'valibot'
import { readDilution, type DilutionReading } from '@/core/dilution/readDilution'
import { exhaustive } from '@/core/exhaustive'
import { message, type Message } from '@/core/message/message'
import { quantityIn } from '@/core/message/quantityIn'
import { term } from '@/core/message/term'
import type { Unit } from '@/core/message/unit'
import type { Messages } from '@/catalogue/messages'

/** What a text is asked for as, and what a list is of: words of `messages/en/fields.json`. */
export type NamedField = keyof Messages['fields']['name']
export type Things = keyof Messages['fields']['things']

/** One of a closed list; the fix names them all. */
export const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  v.picklist(values, issueText('fields.oneOf', { values: values.join(', ') }))

function rangeText(low: number, high: number, unit: Unit | null): string {
  if (unit === null) return issueText('fields.range', { low, high })
  const [least, most] = [quantityIn(low, unit), quantityIn(high, unit)]
  return least && most
    ? issueText('fields.between', { low: least, high: most })
    : issueText('fields.rangeIn', { low, high, unit: term('unit', unit) })
}

/** A finite number in a range that includes both ends. */
export const numberFrom = (low: number, high: number, unit: Unit | null = null) => {
  const text = rangeText(low, high, unit)
  return v.pipe(v.number(), v.finite(text), v.minValue(low, text), v.maxValue(high, text))
}

export const wholeNumberFrom = (low: number, high: number, unit: Unit | null = null) =>
  v.pipe(numberFrom(low, high, unit), v.integer(issueText('fields.whole')))

/**
 * A list of at most so many. Its length is looked at first: the entries of a list that is too long are not looked at,
 * so that junk costs nothing.
 */
export function list<const TItem extends v.GenericSchema>(item: TItem, most: number, things: Things) {
  const tooMany = issueText('fields.atMost', { most, things: message(`fields.things.${things}`) })
  return listOf(item, most, tooMany)
}

/** The same with words of its own for a list that is too long. */
export function listOf<const TItem extends v.GenericSchema>(item: TItem, most: number, tooMany: string) {
  const entries = v.array(item)
  const guarded: typeof entries = {
    ...entries,
    '~run'(dataset, config) {
      if (!Array.isArray(dataset.value) || dataset.value.length <= most)
        return entries['~run'](dataset, config)
      const checked = v.safeParse(v.pipe(v.array(v.unknown()), v.maxLength(most, tooMany)), dataset.value)
      return { typed: false, value: dataset.value, issues: checked.issues } as ReturnType<
        (typeof entries)['~run']
      >
    },
  }
  return v.pipe(guarded, v.maxLength(most, tooMany))
}

/** A short text a person typed: any script, any emoji, but no control characters. */
export const shortText = (what: NamedField, longest = 80) =>
  v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, issueText('fields.enter', { what: message(`fields.name.${what}`) })),
    noLongerThan(what, longest),
    oneLine(what),
  )

export const noLongerThan = (what: NamedField, longest: number) =>
  v.maxLength<string, number, string>(
    longest,
    issueText('fields.shorter', { what: message(`fields.name.${what}`), longest }),
  )

export const oneLine = (what: NamedField) =>
  v.regex<string, string>(
    /^[^\u0000-\u001f\u007f]*$/u,
    issueText('fields.noLines', { what: message(`fields.name.${what}`) }),
  )

/** What to write in place of a strength that does not say what it means. */
function fixOf(reading: Exclude<DilutionReading, { kind: 'mix' }>): Message {
  switch (reading.kind) {
    case 'unreadable':
      return reading.fix
    case 'needs':
      return message('fields.asRatio', { question: reading.question })
    case 'open':
      return message('fields.asPercent', {
        question: reading.question,
        ways: {
          either: reading.choices.map(({ mix }) => message('fields.percent', { percent: 100 * mix.from })),
        },
      })
    default:
      return exhaustive(reading)
  }
}

/** A strength as people write it; open readings are refused with the readings they could have. */
export const strengthText = v.pipe(
  v.string(),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return
    const reading = readDilution(dataset.value)
    if (reading.kind === 'mix') return
    addIssue({ message: asIssue(fixOf(reading)) })
  }),
)

/** Made by whoever sends something, new for every thing: sent twice it counts once. */
export const requestId = v.pipe(v.string(), v.uuid(issueText('fields.uuid')))

/** An id as the database makes them. */
export const uuidOf = (otherwise: Message) => v.pipe(v.string(), v.uuid(asIssue(otherwise)))

const uuid = v.pipe(v.string(), v.uuid())
/** Whether something that came from outside, whatever it is, names a thing by UUID. */
export const isUuid = (value: unknown): value is string => v.is(uuid, value)

/** A name that products and tools are known by. */
export const idText = v.pipe(v.string(), v.minLength(1), v.maxLength(200))

/** The version a form was made from. */
export const versionNumber = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(2_147_483_647))

/**
 * How long ago something was, by the clock of the device it waited on: right however wrong that clock is. Absent: just now.
 * @param most s
 */
export const secondsAgo = (most: number) => v.optional(numberFrom(0, most, 's'), 0)
