import { useEffect, useRef, useState } from 'react'
import { conditionsFile, type ConditionsFile } from '@/contracts/conditions'
import { parse } from '@/contracts/problems'
import { useSay } from '@/i18n/useSay'

/** A person types; the plan follows when they pause, ms. */
const pauseMilliseconds = 450

export interface TypedConditions {
  /** What a field shows: what is being typed there, else what the plan was made with. */
  textOf(key: string, value: number): string
  fixOf(key: string): string | undefined
  type(key: string, text: string): void
  /** Passes on what was typed without waiting for the pause. */
  passOn(): void
  /** What is being typed counts no more. */
  forget(): void
}

/** Conditions as they are typed: passed on after a pause, or at once when a field is left, where they are all right. */
export function useTypedConditions(
  conditions: ConditionsFile,
  change: ((conditions: ConditionsFile) => void) | null,
): TypedConditions {
  'use memo'
  const say = useSay()
  const [draft, setDraft] = useState<Record<string, string>>({})
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  /** What was typed, until it is passed on: after a pause, or at once when the field is left. */
  const typed = useRef<ConditionsFile | null>(null)
  useEffect(() => () => clearTimeout(timer.current), [])
  const passOn = () => {
    clearTimeout(timer.current)
    const value = typed.current
    typed.current = null
    if (!value || !change) return
    setDraft({})
    change(value)
  }
  const textOf = (key: string, value: number) => draft[key] ?? String(value)
  const merged = (texts: Record<string, string>) => ({
    ...conditions,
    ...Object.fromEntries(
      Object.entries(texts).map(([key, text]) => [
        key,
        text.trim() === '' ? NaN : Number(text.replace(',', '.')),
      ]),
    ),
  })
  const read = parse(conditionsFile, merged(draft))
  const fixOf = (key: string) => {
    const fix = read.ok ? undefined : read.problems.find(({ path }) => path === key)?.fix
    return fix && say(fix)
  }
  const type = (key: string, text: string) => {
    const next = { ...draft, [key]: text }
    setDraft(next)
    clearTimeout(timer.current)
    const valid = parse(conditionsFile, merged(next))
    typed.current = valid.ok ? valid.value : null
    if (valid.ok) timer.current = setTimeout(passOn, pauseMilliseconds)
  }
  return { textOf, fixOf, type, passOn, forget: () => setDraft({}) }
}
