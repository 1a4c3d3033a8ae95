import { useMemo, useState } from 'react'
import { cardsOf } from '@/core/cards/cardsOf'
import type { Resumed } from '@/core/rescheduling/resume'
import { givenUpBy, stepsLeft } from '@/core/rescheduling/stepsLeft'
import type { Card, CardTap, Step } from '@/core/plan/plan'
import type { Answer } from '@/core/run/answer'
import type { RunState } from '@/core/run/runState'
import type { Position } from '@/core/wheel/position'
import type { Happened, Run } from './useRun'

/** The cards of one person, and what a tap on them does. */
export interface BayCards {
  readonly stepOf: (id: string) => Step | undefined
  readonly cards: readonly Card[]
  /** The card in hand and the tap that is due on it; undefined when all is done. */
  readonly inHand: { readonly card: Card; readonly tap: CardTap; readonly steps: readonly Step[] } | undefined
  /** The cards after it. */
  readonly others: readonly Card[]
  /** Steps the other one has in hand, where two work. */
  readonly theirs: readonly Step[]
  /** Goes to another wheel first; the rest follows. */
  choose(position: Position): void
  /** Ends steps; an answer is to what the last of them asks. */
  settle(steps: readonly Step[], answer?: Answer): void
  skip(steps: readonly Step[]): void
  /** All up to a card, and the card itself, was done already. */
  settleUpTo(card: Card): void
}

/**
 * @param person whose cards, 0 or 1, where two work; undefined for one alone
 */
export function useBayCards(
  state: RunState,
  order: Resumed | null,
  person: number | undefined,
  tap: Run['tap'],
): BayCards {
  const { plan } = state
  const [chosen, setChosen] = useState<Position | null>(null)
  const stepOf = useMemo(() => {
    const steps = new Map(plan.steps.map((step) => [step.id, step]))
    return (id: string): Step | undefined => steps.get(id)
  }, [plan.steps])
  const cardsFor = (who: number | undefined): Card[] =>
    cardsOf(
      stepsLeft(plan, state, order, who ?? null)
        .filter(({ act }) => act !== 'writeDown')
        .map((step) => ({ step, person: who ?? 0 })),
    )
  const stepsOf = (taps: readonly CardTap[]): Step[] =>
    taps.flatMap(({ stepIds }) => stepIds.flatMap((id) => stepOf(id) ?? []))
  const cards = cardsFor(person)
  const card = cards.find(({ corner }) => corner !== null && corner === chosen) ?? cards[0]
  const others = cards.filter((one) => one !== card)
  const due = card?.taps[0]
  const settle = (steps: readonly Step[], answer?: Answer): void => {
    // What has to come off at once is not brushed any more: that is left out, and kept so.
    const givenUp = new Set(steps.flatMap((step) => givenUpBy(step, plan, order, state)))
    const done = steps.filter(({ id }) => !givenUp.has(id))
    tap(
      ...[...givenUp].map((stepId): Happened => ({ kind: 'skipped', stepId })),
      ...done.map(({ id }, at): Happened =>
        answer && at === done.length - 1
          ? { kind: 'answered', stepId: id, answer }
          : { kind: 'done', stepId: id },
      ),
    )
    if (card && steps.length >= stepsOf(card.taps).length) setChosen(null)
  }
  return {
    stepOf,
    cards,
    inHand: card && due && { card, tap: due, steps: stepsOf([due]) },
    others,
    theirs: person === undefined ? [] : stepsOf(cardsFor(1 - person)[0]?.taps.slice(0, 1) ?? []),
    choose: setChosen,
    settle,
    skip: (steps) => tap(...steps.map(({ id }) => ({ kind: 'skipped', stepId: id }) as const)),
    settleUpTo: (last) =>
      settle(
        [...(card ? [card] : []), ...others.slice(0, others.indexOf(last) + 1)].flatMap(({ taps }) =>
          stepsOf(taps),
        ),
      ),
  }
}
