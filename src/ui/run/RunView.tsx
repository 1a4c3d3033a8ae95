'use client'

import { useTranslations } from 'next-intl'
import type { Translator } from '@/i18n/translator'
import { useEffect, useState, useSyncExternalStore } from 'react'
import { readClock } from '@/core/run/dwellClock'
import { jobOutcome } from '@/core/observations/jobOutcome'
import type { Position } from '@/core/wheel/position'
import type { FinishInput } from '@/contracts/intake'
import type { JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'
import type { FormAction } from '../form/formAction'
import type { LoadEntry } from '../intake/loads'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { BayDeviceChoice } from './BayDeviceChoice'
import type { Say } from '@/i18n/sayer'
import { withSpokenUnits } from '@/i18n/spokenUnits'
import { useSay } from '@/i18n/useSay'
import { cardTitle, sayLine } from './cardWords'
import { ClockStrip } from './ClockStrip'
import { Coming } from './Coming'
import { FinishForm } from './FinishForm'
import { RunActs } from './RunActs'
import { RunCard } from './RunCard'
import { RunWheel } from './RunWheel'
import { lastSight, useBay, type Bay } from './useBay'
import { useBayDevice } from './useBayDevice'
import { useAwakeScreen, usePhaseSignal } from './useBaySignals'
import type { StoredTaps } from './useRun'
import { useServerNow } from './useServerNow'
import { useSpeech } from './useSpeech'
import { preloadUsedRows } from './UsedRowsLater'
import { useWho } from './useWho'
import { WhoChips } from './WhoChips'

interface RunViewProps {
  readonly jobId: string
  readonly wheelSetId: string
  readonly title: string
  readonly jobFile: JobFile
  readonly plan: PlanFile
  readonly wheels: readonly DrawnWheel[]
  readonly loads: readonly { readonly position: Position; readonly loads: readonly LoadEntry[] }[]
  readonly stored: StoredTaps
  readonly serverMilliseconds: number
  readonly end: FormAction<FinishInput>
}

const nothingChanges = () => () => {}

/** Whether the page hears taps; drawn by the server it does not yet. */
const useIsLive = (): boolean =>
  useSyncExternalStore(
    nothingChanges,
    () => true,
    () => false,
  )

/** What is said aloud: a rinse that is due before all, else the card. */
function spokenText(
  { state, cards: { inHand } }: Bay,
  nowMilliseconds: number,
  t: Translator,
  say: Say,
): string {
  const urgent = state.clocks.find((clock) =>
    ['rinseNow', 'over'].includes(readClock(clock, nowMilliseconds).phase),
  )
  if (urgent) return t('bay.spoken.rinseNow', { wheel: t(`terms.wheel.${urgent.corner}`) })
  return inHand
    ? t('bay.spoken.card', {
        title: cardTitle(inHand.card, inHand.steps, t, say),
        steps: inHand.steps.map((step) => sayLine(step, t, say)).join(', '),
      })
    : ''
}

/** The bay: the card in hand, what comes, undo, and every clock that runs. */
export function RunView(props: RunViewProps) {
  const t = useTranslations()
  const say = useSay()
  const { jobId, jobFile, plan, wheels, loads, stored, serverMilliseconds, end } = props
  const { nowMilliseconds, serverNow } = useServerNow(serverMilliseconds)
  const isShared = (plan.sequence?.people ?? 1) > 1
  const [who, setWho] = useWho(jobId)
  const [ending, setEnding] = useState(false)
  const maySleep = useAwakeScreen()
  useEffect(preloadUsedRows, [])
  const isLive = useIsLive()
  const [device, changeDevice] = useBayDevice()
  const bay = useBay(jobId, jobFile, plan, stored, serverNow, isShared ? who : undefined, !ending)
  const { state, cards } = bay
  const { inHand, stepOf } = cards
  usePhaseSignal(
    state.clocks.map((clock) => ({
      key: `${clock.corner}.${clock.stageId}`,
      phase: readClock(clock, nowMilliseconds).phase,
    })),
  )
  useSpeech(withSpokenUnits(spokenText(bay, nowMilliseconds, t, say), t), device.speaks)
  if (ending || !inHand)
    return (
      <FinishForm
        jobId={jobId}
        saving={bay.saving}
        outcome={bay.job && jobOutcome(bay.job, state)}
        wheels={wheels}
        end={end}
        back={() => {
          setEnding(false)
          if (!ending) bay.undo()
        }}
      />
    )
  const positions = wheels.map(({ position }) => position)
  const shownAt = inHand.card.corner ?? positions[0]
  const wheel = wheels.find(({ position }) => position === shownAt)
  return (
    <div
      className={`run${device.isFar ? ' is-far' : ''}${device.isLeftHanded ? ' is-left' : ''}`}
      data-settled={state.settledCount}
      data-live={isLive}
    >
      <ClockStrip
        plan={state.plan}
        state={state}
        positions={positions}
        nowMilliseconds={nowMilliseconds}
        inHand={inHand.card.corner}
        isOpen={(position) => cards.cards.some(({ corner }) => corner === position)}
        choose={cards.choose}
      />
      <div className="run-now" aria-live="polite">
        {isShared && <WhoChips who={who} choose={setWho} />}
        <RunCard
          card={inHand.card}
          state={state}
          stepOf={stepOf}
          sight={lastSight(state)}
          nowMilliseconds={nowMilliseconds}
          lost={bay.order?.lost ?? []}
          tick={(step) => cards.settle([step])}
        />
      </div>
      {wheel && (
        <RunWheel
          plan={state.plan}
          state={state}
          wheel={wheel}
          loads={loads.find(({ position }) => position === shownAt)?.loads ?? []}
          steps={inHand.steps}
          nowMilliseconds={nowMilliseconds}
        />
      )}
      <RunActs
        {...props}
        bay={bay}
        inHand={inHand}
        wheel={wheel}
        who={who}
        isAlone={!isShared}
        nowMilliseconds={nowMilliseconds}
        endHere={() => setEnding(true)}
      />
      <div className="run-more">
        <Coming cards={cards.others} stepOf={stepOf} doneUpTo={cards.settleUpTo} />
        <BayDeviceChoice device={device} change={changeDevice} maySleep={maySleep} />
      </div>
    </div>
  )
}
