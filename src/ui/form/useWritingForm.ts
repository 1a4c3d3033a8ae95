import { useTranslations } from 'next-intl'
import { useState } from 'react'
import {
  useForm,
  useWatch,
  type DefaultValues,
  type FieldValues,
  type Path,
  type PathValue,
  type UseFormReturn,
} from 'react-hook-form'
import type * as v from 'valibot'
import type { SaidProblem } from '@/i18n/saidProblems'
import { useSay } from '@/i18n/useSay'
import { newId } from '../newId'
import type { FormAnswer } from './formAction'
import { problemsIn, saidResolver } from './saidResolver'
import { useDraft, type DraftState } from './useDraft'
import { useSending, type Sending } from './useSending'
import { draftName, type WritingFormName } from './writingForms'

interface WritingFormOptions<Values extends FieldValues> {
  /** The name of the form and what it edits; null: a secret, of which nothing may be kept on the device. */
  readonly name: readonly [form: WritingFormName, of?: string] | null
  /** Of the saved state that the form shows; absent: something new. */
  readonly version?: number
  readonly initial: Values
  /** What is sent of the values; absent: the values. The id is the same until it was sent. */
  readonly inputOf?: (values: Values, requestId: string) => unknown
  /** Checks what would be sent, as it is checked where it arrives; absent: it is checked there alone. */
  readonly schema?: v.GenericSchema
  readonly send: (input: never, values: Values, requestId: string) => Promise<FormAnswer>
  /** What the form shows after it was sent; absent: what was sent. */
  readonly afterwards?: (sent: Values) => Values
  readonly whenSent?: (sent: Values) => void
  /** Told the paths of what was refused before it was sent. */
  readonly whenRefused?: (paths: readonly string[]) => void
  /** The values of a draft that an earlier version of the form kept in another shape. */
  readonly upgradeDraft?: (kept: unknown) => unknown
  /** Puts right what a kept draft cannot hold. */
  readonly restored?: (kept: Values) => Values
}

/** What a field component takes. */
export interface FieldAt<Value> {
  readonly value: Value
  readonly set: (value: Value) => void
  /** What to do where it was refused. */
  readonly fix: string | undefined
}

export interface WritingForm<Values extends FieldValues> {
  readonly values: Values
  /** A field by its name. @param path of its problems, where that is another one */
  at<Name extends keyof Values & string>(name: Name, path?: string): FieldAt<Values[Name]>
  change(part: Partial<Values>): void
  /** What to do about the first of these fields that was refused. */
  fixOf(...paths: readonly string[]): string | undefined
  readonly problems: readonly SaidProblem[]
  clearProblems(): void
  readonly draft: DraftState
  readonly busy: boolean
  /** It was sent, and nothing was typed since. */
  readonly isSent: boolean
  submit(): void
  /** For fields that register themselves, at any depth. */
  readonly controls: UseFormReturn<Values, unknown, Values>
  /** Runs another action of this form. */
  readonly send: Sending['send']
}

/** A form that writes data: what is typed is kept as a draft, checked, sent once, and what is refused is said at its field. */
export function useWritingForm<Values extends FieldValues>(
  options: WritingFormOptions<Values>,
): WritingForm<Values> {
  const { name, version = 0, initial, schema, inputOf = (values: Values): unknown => values } = options
  const t = useTranslations()
  const say = useSay()
  const [requestId, setRequestId] = useState(newId)
  const [isSent, setSent] = useState(false)
  const [refused, setRefused] = useState<readonly SaidProblem[]>([])
  const { problems: answered, setProblems, busy, send } = useSending()
  const toSend = (values: Values): unknown => inputOf(values, requestId)
  const form = useForm<Values, unknown, Values>({
    defaultValues: initial as DefaultValues<Values>,
    ...(schema
      ? { resolver: saidResolver<Values, Values>(schema, say, toSend, ({ key }) => t.has(key)) }
      : {}),
  })
  const values = useWatch({ control: form.control }) as Values
  const draft = useDraft({
    form: name && draftName(...name),
    version,
    values,
    requestId,
    upgrade: options.upgradeDraft,
    restore: (kept: Values, keptId?: string) => {
      form.reset(options.restored?.(kept) ?? kept)
      if (keptId) setRequestId(keptId)
    },
  })
  const problems = [...refused, ...answered]
  const change = (part: Partial<Values>): void => {
    setSent(false)
    for (const [field, value] of Object.entries(part))
      form.setValue(field as Path<Values>, value as PathValue<Values, Path<Values>>)
  }
  const settle = (sent: Values): void => {
    const next = options.afterwards?.(sent) ?? sent
    setRequestId(newId())
    draft.forget(next)
    // What was typed while it was on its way stays.
    const isAsSent = JSON.stringify(form.getValues()) === JSON.stringify(sent)
    if (options.afterwards && isAsSent) form.reset(next)
    setSent(true)
    options.whenSent?.(sent)
  }
  const submit = form.handleSubmit(
    () => {
      const sent = structuredClone(form.getValues())
      setRefused([])
      send(
        () => options.send(toSend(sent) as never, sent, requestId),
        () => settle(sent),
      )
    },
    (errors) => {
      setProblems([])
      const found = problemsIn(errors)
      setRefused(found)
      options.whenRefused?.(found.map(({ path }) => path))
    },
  )
  const fixOf = (...paths: readonly string[]): string | undefined =>
    problems.find(({ path }) => paths.includes(path))?.fix
  return {
    values,
    at: (field, path = field) => ({
      value: values[field],
      set: (value) => {
        change({ [field]: value } as unknown as Partial<Values>)
        setRefused(refused.filter((problem) => problem.path !== path))
      },
      fix: fixOf(path),
    }),
    change,
    fixOf,
    problems,
    clearProblems: () => {
      setRefused([])
      setProblems([])
    },
    draft,
    busy,
    isSent,
    submit: () => void submit(),
    controls: form,
    send,
  }
}
