import * as v from 'valibot'
import { readDilution } from '@/core/dilution'

/** One of a closed list; the mend names them all. */
export const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  v.picklist(values, `Use one of: ${values.join(', ')}.`)

/** A finite number in a range that includes both ends. */
export const numberFrom = (low: number, high: number, unit = '') => {
  const text = `Give a number from ${low} to ${high}${unit && ` ${unit}`}.`
  return v.pipe(v.number(), v.finite(text), v.minValue(low, text), v.maxValue(high, text))
}

export const wholeNumberFrom = (low: number, high: number, unit = '') =>
  v.pipe(numberFrom(low, high, unit), v.integer('Give a whole number.'))

/**
 * A list of at most so many. Its length is looked at first: the entries of a list that is too long are not looked at,
 * so that junk costs nothing.
 */
export function list<const TItem extends v.GenericSchema>(item: TItem, most: number, tooMany: string) {
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
export const shortText = (what: string, longest = 80) =>
  v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, `Give a ${what}.`),
    v.maxLength(longest, `Keep the ${what} to ${longest} characters.`),
    v.regex(/^[^\u0000-\u001f\u007f]*$/u, `Leave tabs and line breaks out of the ${what}.`),
  )

/** A strength as people write it; open readings are refused with the readings they could have. */
export const strengthText = v.pipe(
  v.string(),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return
    const reading = readDilution(dataset.value)
    if (reading.kind === 'mix') return
    const message =
      reading.kind === 'unreadable'
        ? reading.mend
        : reading.kind === 'needs'
          ? `${reading.question} Write the strength as a ratio instead.`
          : `${reading.question} Write it as ${reading.choices.map(({ mix }) => `${Number((mix.from * 100).toPrecision(3))} %`).join(' or ')}.`
    addIssue({ message })
  }),
)

/** Made by whoever sends something, new for every thing: sent twice it counts once. */
export const requestId = v.pipe(v.string(), v.uuid('Give a UUID, new for every thing that is sent.'))

const uuid = v.pipe(v.string(), v.uuid())
/** Whether something that came from outside, whatever it is, names a thing by UUID. */
/** An id as the database makes them. */
export const uuidOf = (otherwise: string) => v.pipe(v.string(), v.uuid(otherwise))

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
