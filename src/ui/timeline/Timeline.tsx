'use client'

import type { Formats } from '@/i18n/formats'
import { useFormats } from '@/i18n/useFormats'
import { bold } from '@/i18n/rich'
import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import {
  DndContext,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core'
import { ZoomIn, ZoomOut } from 'lucide-react'
import { memo, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { passTitles } from '@/core/passes/passTitles'
import type { Step } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import { formatClock, formatDuration, formatDwell } from '@/i18n/format'
import type { SpokenPlan } from '@/i18n/spoken'
import { useSay } from '@/i18n/useSay'
import { Deeper } from '../plan/Deeper'
import { PatternWords } from '../plan/PatternWords'
import type { OrderSearch } from '../plan/useOrderSearch'
import { lanesOf, type Bar, type Lane } from './bars'

interface TimelineProps {
  readonly plan: SpokenPlan
  readonly sequence: NonNullable<SpokenPlan['sequence']>
  /** Instant of the start, for clock times; null: counted from zero. */
  readonly startAt: string | undefined
  /** Looks on for a better order; null once the job has begun. */
  readonly search: OrderSearch | null
  /** Puts a step to a time; null once the job has begun. */
  readonly place: ((stepId: string, startSeconds: number) => void) | null
}

const zooms = [1, 2, 4, 8]

/** Whose lane it is. */
const laneName = ({ of }: Lane, people: number, t: Translator): string =>
  'corner' in of
    ? t(`terms.position.${of.corner}`)
    : people === 1
      ? t('plan.timeline.you')
      : t('bay.who.person', { number: of.person + 1 })

/** One press of an arrow key with Shift, seconds. */
const nudgeSeconds = 60

/** Wheels are told apart by the order of their lanes, so that what repeats is seen. */
const wheelNumber = (lanes: readonly Lane[], corner: Position): number =>
  lanes.filter(({ comings }) => comings.length === 0).findIndex(({ key }) => key === corner) % 4

const clockAt = (startAt: string | undefined, seconds: number, formats: Formats): string =>
  startAt ? formats.timeOfDay(new Date(new Date(startAt).getTime() + 1000 * seconds)) : formatClock(seconds)

/** The job as time drawn to length: who works at what, what dwells where, and how long it may stay. */
export function Timeline({ plan, sequence, startAt, search, place }: TimelineProps) {
  'use memo'
  const formats = useFormats()
  const t = useTranslations()
  const say = useSay()

  const [zoom, setZoom] = useState(0)
  const [chosen, setChosen] = useState<string | null>(null)
  const passes = useMemo(() => passTitles(plan), [plan])
  const lanes = useMemo(() => lanesOf(plan, sequence), [plan, sequence])
  const track = useRef<HTMLDivElement>(null)
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }))
  const until = Math.max(sequence.endSeconds, 60)
  const scale = zooms[zoom] ?? 1
  const every = until / scale > 3600 ? 600 : until / scale > 1500 ? 300 : 120
  const ticks = Array.from({ length: Math.floor(until / every) }, (_, at) => at * every)
  const shown = chosen ?? sequence.entries[0]?.stepId ?? null
  const step = plan.steps.find(({ id }) => id === shown)
  const entry = sequence.entries.find(({ stepId }) => stepId === shown)

  // The bars are many: what they call stays the same from one drawing to the next.
  const newest = useRef({ sequence, place })
  useEffect(() => {
    newest.current = { sequence, place }
  })
  const move = useCallback((stepId: string, bySeconds: number) => {
    const { sequence: now, place: put } = newest.current
    const moved = now.entries.find((one) => one.stepId === stepId)
    if (moved && put && Math.abs(bySeconds) >= 15)
      put(stepId, Math.max(0, Math.round(moved.startSeconds + bySeconds)))
  }, [])
  const drop = ({ active, delta }: DragEndEvent) => {
    const width = track.current?.clientWidth ?? 0
    if (width > 0) move(String(active.data.current?.stepId), (delta.x / width) * until)
  }
  const zoomTo = (lane: Lane) => {
    const from = Math.min(...lane.bars.map(({ startSeconds }) => startSeconds))
    const to = Math.max(...lane.bars.map(({ endSeconds }) => endSeconds))
    const fit = zooms.findLastIndex((factor) => (to - from) * factor <= until * 1.05)
    setZoom(Math.max(0, fit))
    requestAnimationFrame(() => {
      const scroller = track.current?.parentElement
      if (scroller && track.current) scroller.scrollLeft = (from / until) * track.current.clientWidth - 20
    })
  }
  return (
    <section aria-labelledby="timeline" className="timeline">
      <div className="section-head">
        <h3 id="timeline" className="visually-hidden">
          {t('plan.timeline.title')}
        </h3>
        <div className="timeline-tools">
          <button
            type="button"
            className="chip"
            disabled={zoom === 0}
            onClick={() => setZoom(zoom - 1)}
            aria-label={t('plan.timeline.zoomOut')}
          >
            <ZoomOut aria-hidden size={17} />
          </button>
          <button
            type="button"
            className="chip"
            disabled={zoom === zooms.length - 1}
            onClick={() => setZoom(zoom + 1)}
            aria-label={t('plan.timeline.zoomIn')}
          >
            <ZoomIn aria-hidden size={17} />
          </button>
        </div>
      </div>
      <DndContext
        id="timeline-drag"
        sensors={sensors}
        onDragEnd={drop}
        accessibility={{ screenReaderInstructions: { draggable: t('plan.timeline.nudge') } }}
      >
        <div className="timeline-body">
          <div className="timeline-names">
            <div className="timeline-clock" aria-hidden />
            {lanes.map((lane) => (
              <button
                key={lane.key}
                type="button"
                className={`timeline-name${lane.comings.length > 0 ? ' has-comings' : ''}`}
                onClick={() => zoomTo(lane)}
                title={t('plan.timeline.zoomLane')}
              >
                {laneName(lane, sequence.people, t)}
              </button>
            ))}
          </div>
          <div className="timeline-scroll" tabIndex={0} role="region" aria-label={t('plan.timeline.scrolls')}>
            <div className="timeline-track" ref={track} style={{ width: `${scale * 100}%` }}>
              <div className="timeline-clock" aria-hidden>
                {ticks.map((seconds) => (
                  <span key={seconds} style={{ left: `${(seconds / until) * 100}%` }}>
                    {clockAt(startAt, seconds, formats)}
                  </span>
                ))}
              </div>
              {lanes.map((lane, at) => (
                <div
                  key={lane.key}
                  className={`timeline-lane${at === sequence.people ? ' is-first-wheel' : ''}${lane.comings.length > 0 ? ' has-comings' : ''}`}
                  role="group"
                  aria-label={laneName(lane, sequence.people, t)}
                >
                  <Comings lane={lane} lanes={lanes} until={until} />
                  {lane.bars.map((bar) => (
                    <TimelineBar
                      key={bar.key}
                      bar={bar}
                      lane={lane.key}
                      until={until}
                      isChosen={bar.stepId === shown}
                      choose={setChosen}
                      nudge={place && bar.kind === 'hands' ? move : null}
                      canDrag={place !== null && at < sequence.people}
                      time={clockAt(startAt, bar.startSeconds, formats)}
                    />
                  ))}
                </div>
              ))}
            </div>
          </div>
        </div>
      </DndContext>
      {step && entry && (
        <div className="timeline-what" aria-live="polite">
          <b>
            {clockAt(startAt, entry.startSeconds, formats)} {step.title}
          </b>{' '}
          {formatDuration(entry.endSeconds - entry.startSeconds)}
          {sequence.people > 1 && t('plan.timeline.person', { number: entry.person + 1 })}.{' '}
          {[say(passes.get(step.id) ?? ''), whatOf(step, t)].filter(Boolean).join('. ')}{' '}
          <span className="soft">{step.why}</span>
        </div>
      )}
      <div className="timeline-key soft">
        <span>
          <i className="bar-hands" /> {t('plan.timeline.hands')}
        </span>
        <span>
          <i className="bar-hands is-water" /> {t('plan.timeline.rinse')}
        </span>
        <span>
          <i className="bar-dwell" /> {t('plan.timeline.dwell')}
        </span>
        <span>
          <i className="bar-limit" /> {t('plan.timeline.rinseBy')}
        </span>
        {place && <span>{t('plan.timeline.drag')}</span>}
      </div>
      <OrderBounds sequence={sequence} search={search} />
    </section>
  )
}

/** Where a person is, above what they do there. */
function Comings({
  lane,
  lanes,
  until,
}: {
  readonly lane: Lane
  readonly lanes: readonly Lane[]
  readonly until: number
}) {
  const t = useTranslations()
  return lane.comings.map(({ key, corner, startSeconds, endSeconds }) => (
    <span
      key={key}
      className={`timeline-coming${corner === null ? '' : ` is-wheel-${wheelNumber(lanes, corner)}`}`}
      style={{
        left: `${(startSeconds / until) * 100}%`,
        width: `${((endSeconds - startSeconds) / until) * 100}%`,
      }}
      aria-hidden
    >
      {corner === null ? '' : t(`terms.positionShort.${corner}`)}
    </span>
  ))
}

/** What the search knows of the order, for those who ask: why it is no shorter, and whether it could be. */
function OrderBounds({ sequence, search }: Pick<TimelineProps, 'sequence' | 'search'>) {
  const t = useTranslations()

  return (
    <Deeper
      title={t('plan.bounds.title')}
      hint={t('plan.bounds.atLeast', { time: formatDuration(sequence.lowerBoundSeconds) })}
    >
      {sequence.pattern && <PatternWords pattern={sequence.pattern} />}
      <p className="timeline-sum">
        {t.rich('plan.bounds.doneAfter', { time: formatDuration(sequence.endSeconds), b: bold })}{' '}
        {sequence.text}{' '}
        <span className="soft">
          {t('plan.bounds.limits', {
            least: formatDuration(sequence.lowerBoundSeconds),
            plain: formatDuration(sequence.plainSeconds),
          })}
        </span>{' '}
        {search && sequence.lowerBoundSeconds < sequence.endSeconds && <SearchLink search={search} />}
      </p>
    </Deeper>
  )
}

function SearchLink({ search }: { readonly search: OrderSearch }) {
  const t = useTranslations()

  const { isRunning, gainedSeconds, begin, stop } = search
  const gained =
    gainedSeconds === null
      ? ''
      : gainedSeconds > 0
        ? t('plan.bounds.shorter', { time: formatDuration(gainedSeconds) })
        : isRunning
          ? ''
          : t('plan.bounds.noShorter')
  return (
    <span role="status">
      {isRunning ? t('plan.bounds.searching') : null} {gained}{' '}
      <button type="button" className="link-button" onClick={isRunning ? stop : begin}>
        {isRunning ? t('plan.bounds.stop') : t('plan.bounds.search')}
      </button>
    </span>
  )
}

const whatOf = (step: Step, t: Translator): string =>
  [
    step.startsDwell &&
      t('plan.timeline.dwells', {
        dwell: step.startsDwell.minSeconds > 0 ? formatDwell(step.startsDwell.minSeconds) : 'none',
        rinse: formatDwell(step.startsDwell.maxSeconds),
      }),
    step.wetLimitSeconds !== null &&
      step.wetLimitSeconds < 1800 &&
      t('plan.timeline.staysWet', { time: formatDwell(step.wetLimitSeconds) }),
    step.tools.length > 0 && `${step.tools.join(', ')}.`,
  ]
    .filter(Boolean)
    .join(' ')

interface TimelineBarProps {
  readonly bar: Bar
  readonly lane: string
  readonly until: number
  readonly isChosen: boolean
  readonly choose: (stepId: string) => void
  readonly nudge: ((stepId: string, bySeconds: number) => void) | null
  /** Bars of a person are dragged; those of a wheel show the same step. */
  readonly canDrag: boolean
  readonly time: string
}

const TimelineBar = memo(function TimelineBar(props: TimelineBarProps) {
  const { bar, until } = props
  if (bar.kind !== 'hands')
    return <span aria-hidden className={`bar-${bar.kind}`} style={lengthOf(bar, until)} />
  return props.canDrag ? <DraggedBar {...props} /> : <HandsBar {...props} />
})

const lengthOf = (bar: Bar, until: number) => ({
  left: `${(bar.startSeconds / until) * 100}%`,
  width: `${((bar.endSeconds - bar.startSeconds) / until) * 100}%`,
})

function DraggedBar(props: TimelineBarProps) {
  const { setNodeRef, listeners, transform } = useDraggable({
    id: `${props.lane}.${props.bar.key}`,
    data: { stepId: props.bar.stepId },
  })
  return (
    <HandsBar
      {...props}
      setNodeRef={setNodeRef}
      listeners={listeners}
      moved={transform ? { transform: `translateX(${transform.x}px)`, zIndex: 3 } : undefined}
    />
  )
}

interface HandsBarProps extends TimelineBarProps {
  readonly setNodeRef?: (node: HTMLElement | null) => void
  readonly listeners?: ReturnType<typeof useDraggable>['listeners']
  readonly moved?: { readonly transform: string; readonly zIndex: number } | undefined
}

function HandsBar({
  bar,
  until,
  isChosen,
  choose,
  nudge,
  time,
  setNodeRef,
  listeners,
  moved,
}: HandsBarProps) {
  const say = useSay()
  const { stepId } = bar
  return (
    <button
      ref={setNodeRef}
      type="button"
      className={`bar-hands is-${bar.tone}${isChosen ? ' is-chosen' : ''}`}
      style={{ ...lengthOf(bar, until), ...moved }}
      aria-label={`${time}, ${say(bar.label)}`}
      aria-pressed={isChosen}
      onClick={() => choose(stepId)}
      onFocus={() => choose(stepId)}
      onMouseEnter={() => choose(stepId)}
      onKeyDown={(event) => {
        if (!nudge || !event.shiftKey || (event.key !== 'ArrowRight' && event.key !== 'ArrowLeft')) return
        event.preventDefault()
        nudge(stepId, event.key === 'ArrowRight' ? nudgeSeconds : -nudgeSeconds)
      }}
      {...listeners}
    />
  )
}
