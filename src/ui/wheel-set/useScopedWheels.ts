import { useTranslations } from 'next-intl'
import { useState } from 'react'
import type { FieldPath, UseFormReturn } from 'react-hook-form'
import type { Condition, Finish } from '@/core/finishes/finish'
import type { Position } from '@/core/wheel/position'
import type { FinishZone } from '@/core/wheel/zone'
import { positionsIn, scopesFor, type Scope } from './scope'
import { freshWheel, textOf, type MeasureField, type SetValues, type WheelValues } from './wheelValues'

export type SetForm = UseFormReturn<SetValues, unknown, SetValues>
type FinishEntry = NonNullable<WheelValues['finishes']>[number]

/** Wheels that are edited together: all, an axle or one. What is set goes to each of them. */
export interface ScopedWheels {
  readonly scope: Scope
  readonly scopes: ReturnType<typeof scopesFor>
  readonly positions: readonly Position[]
  /** The first of those that are edited. */
  readonly first: WheelValues | undefined
  changeScope(next: Scope): void
  /** What a measure field shows; null: it differs by wheel. */
  measureText(field: MeasureField): string | null
  measureError(field: MeasureField): string | undefined
  setMeasure(field: MeasureField, text: string, numeric: boolean): void
  /** Finish and condition of a zone at the first of the wheels. */
  finishAt(zone: FinishZone): FinishEntry | undefined
  finishDiffers(zone: FinishZone): boolean
  finishError(zone: FinishZone): string | undefined
  setFinish(zone: FinishZone, finish: Finish, condition: Condition): void
  /** The finish of several zones; they keep the condition of the face. */
  takeFinish(zones: readonly FinishZone[], finish: Finish): void
  setPositions(positions: readonly Position[]): void
  changePosition(position: Position, present: boolean): void
  /** Shows a wheel with a fault, so that its message can be seen. */
  show(index: number): void
  /** What is typed is what the form holds, again. */
  forgetTyped(): void
}

/** @param values of the form as it is now */
export function useScopedWheels(form: SetForm, values: SetValues): ScopedWheels {
  const t = useTranslations()
  const positions = values.wheels.map(({ position }) => position)
  const scopes = scopesFor(positions, t)
  const [scope, setScope] = useState<Scope>(scopes[0]?.scope ?? 'all')
  /** What is being typed and is no number yet. */
  const [typed, setTyped] = useState<Partial<Record<MeasureField, string>>>({})
  const { errors } = form.formState
  const inScope = positionsIn(scope, positions)
  const indexes = inScope.map((position) => positions.indexOf(position))
  const first = values.wheels[indexes[0] ?? 0]
  const changeScope = (next: Scope) => {
    setScope(next)
    setTyped({})
  }
  const differs = (read: (wheel: WheelValues) => unknown): boolean =>
    new Set(indexes.map((index) => JSON.stringify(read(values.wheels[index] as WheelValues)))).size > 1
  const finishOf = (zone: FinishZone, wheel = first) => wheel?.finishes?.find((entry) => entry.zone === zone)
  const setFinishes = (zones: readonly FinishZone[], finish: Finish, condition: Condition) => {
    for (const index of indexes) {
      const others = (values.wheels[index]?.finishes ?? []).filter(({ zone }) => !zones.includes(zone))
      form.setValue(
        `wheels.${index}.finishes`,
        finish === 'unknown' ? others : [...others, ...zones.map((zone) => ({ zone, finish, condition }))],
        { shouldDirty: true },
      )
    }
  }
  const setWheels = (wheels: WheelValues[]) => {
    form.setValue('wheels', wheels, { shouldDirty: true })
    changeScope(
      scopesFor(
        wheels.map(({ position }) => position),
        t,
      )[0]?.scope ?? 'all',
    )
  }
  /** One more wheel is like the first. */
  const another = (position: Position): WheelValues => ({ ...(first ?? freshWheel(position)), position })
  return {
    scope,
    scopes,
    positions,
    first,
    changeScope,
    forgetTyped: () => setTyped({}),
    measureText: (field) => {
      const text = typed[field]
      if (text !== undefined) return text
      return differs((wheel) => wheel[field]) ? null : textOf(first?.[field])
    },
    measureError: (field) => indexes.map((index) => errors.wheels?.[index]?.[field]?.message).find(Boolean),
    setMeasure: (field, text, numeric) => {
      setTyped((known) => ({ ...known, [field]: text }))
      const value = numeric ? (text.trim() === '' ? NaN : Number(text.replace(',', '.'))) : text
      for (const index of indexes) {
        const path = `wheels.${index}.${field}` as FieldPath<SetValues>
        form.setValue(path, value as never, { shouldDirty: true })
        form.clearErrors(path)
      }
    },
    finishAt: (zone) => finishOf(zone),
    finishDiffers: (zone) => differs((wheel) => finishOf(zone, wheel)),
    finishError: (zone) =>
      indexes
        .map((index) => {
          const at = (values.wheels[index]?.finishes ?? []).findIndex((entry) => entry.zone === zone)
          return errors.wheels?.[index]?.finishes?.[at]?.condition?.message
        })
        .find(Boolean),
    setFinish: (zone, finish, condition) => setFinishes([zone], finish, condition),
    takeFinish: (zones, finish) => setFinishes(zones, finish, finishOf('face')?.condition ?? 'sound'),
    setPositions: (wanted) => setWheels(wanted.map(another)),
    changePosition: (position, present) =>
      setWheels(
        present
          ? [...values.wheels, another(position)]
          : values.wheels.filter((wheel) => wheel.position !== position),
      ),
    show: (index) => {
      const position = positions[index]
      if (position && !inScope.includes(position)) changeScope(position)
    },
  }
}
