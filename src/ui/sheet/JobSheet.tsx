import type { Formats } from '@/i18n/formats'
import { useFormats } from '@/i18n/useFormats'
import { useFormatter, useTranslations } from 'next-intl'
import { sayDilution, type DilutionStyle } from '@/core/dilution/writeDilution'
import { planPasses } from '@/core/passes/planPasses'
import { whoWorks } from '@/core/passes/whoWorks'
import type { Position } from '@/core/wheel/position'
import { formatClock, formatDwell } from '@/i18n/format'
import { spoken, type SpokenPass, type SpokenPlan, type SpokenStage } from '@/i18n/spoken'
import { useSay } from '@/i18n/useSay'
import { longestWords } from '../plan/longestWords'
import { strengthOf } from '../plan/strengthOf'

interface JobSheetProps {
  readonly title: string
  readonly plan: SpokenPlan
  readonly dilutionStyle: DilutionStyle
  /** Instant of the start with the offset of the wall clock, minutes; absent: counted from zero. */
  readonly startAt: string | undefined
  readonly utcOffsetMinutes: number
}

/** Wall clock so many seconds after the start; counted from zero where the start is not known. */
const clockOf = (
  seconds: number,
  startAt: string | undefined,
  utcOffsetMinutes: number,
  formats: Formats,
): string =>
  startAt
    ? formats.wallClock(new Date(new Date(startAt).getTime() + seconds * 1000), utcOffsetMinutes)
    : formatClock(seconds)

/** The job on one sheet of paper: bottles to fill, the passes with a box for every wheel, the end, cautions. */
export function JobSheet({ title, plan, dilutionStyle, startAt, utcOffsetMinutes }: JobSheetProps) {
  const t = useTranslations()

  const { before, passes, after } = spoken(planPasses(plan), useSay())
  const corners = [...new Set(passes.flatMap((pass) => pass.corners))]
  const cautions = [...new Set(plan.steps.flatMap((step) => step.cautions))]
  return (
    <article className="sheet">
      <h1>{title}</h1>
      <p>
        {t(`terms.service.${plan.service}`)}. {plan.headline} {plan.sequence?.pattern?.sentences.join(' ')}
      </p>
      <h2>{t('sheet.fills')}</h2>
      <Fills plan={plan} dilutionStyle={dilutionStyle} />
      <div className="sheet-scroll">
        <table className="sheet-passes">
          <thead>
            <tr>
              <th>{t('sheet.pass')}</th>
              <th>{t('sheet.moves')}</th>
              {corners.map((corner) => (
                <th key={corner} aria-label={t(`terms.position.${corner}`)}>
                  {t(`terms.positionShort.${corner}`)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {passes.map((pass) => (
              <PassRow
                key={pass.id}
                pass={pass}
                plan={plan}
                corners={corners}
                startAt={startAt}
                utcOffsetMinutes={utcOffsetMinutes}
              />
            ))}
          </tbody>
        </table>
      </div>
      {isForTwo(plan) && <p className="soft">{t('sheet.people')}</p>}
      <p className="sheet-around">
        <b>{t('sheet.before')}</b> {before.map((step) => step.title).join(' · ')}
        {after.length > 0 && (
          <>
            {' '}
            <b>{t('sheet.after')}</b> {after.map((step) => step.title).join(' · ')}
          </>
        )}
      </p>
      {cautions.length > 0 && (
        <>
          <h2>{t('sheet.precautions')}</h2>
          <p>{cautions.join(' ')}</p>
        </>
      )}
      <p className="soft">{t('sheet.note')}</p>
    </article>
  )
}

const isForTwo = ({ sequence }: SpokenPlan): boolean => (sequence?.people ?? 1) > 1

interface PassRowProps extends Pick<JobSheetProps, 'plan' | 'startAt' | 'utcOffsetMinutes'> {
  readonly pass: SpokenPass
  readonly corners: readonly Position[]
}

/** A pass in a line: its moves, and for each of its wheels a box with the time and, for two people, who works there. */
function PassRow({ pass, plan, corners, startAt, utcOffsetMinutes }: PassRowProps) {
  const formats = useFormats()
  const entries = plan.sequence?.entries ?? []
  const starts = new Map(entries.map(({ stepId, startSeconds }) => [stepId, startSeconds]))
  const who = plan.sequence && isForTwo(plan) ? whoWorks(pass, plan.sequence) : null
  /** When it begins at a wheel; empty where the steps stand in no order. */
  const startOf = (corner: Position): string => {
    const here = pass.moves.flatMap(({ stepIds }) =>
      stepIds.filter((id) => id.startsWith(`${corner}.`)).flatMap((id) => starts.get(id) ?? []),
    )
    return here.length === 0 ? '' : clockOf(Math.min(...here), startAt, utcOffsetMinutes, formats)
  }
  return (
    <tr>
      <th scope="row">{pass.title}</th>
      <td>
        <Moves pass={pass} stages={plan.stages} personOf={who?.ofMove} />
      </td>
      {corners.map((corner) => (
        <td key={corner} className="sheet-wheel">
          {pass.corners.includes(corner) && (
            <span className="sheet-box">
              {startOf(corner)}
              {who && <b> {who.atWheel.get(corner)?.join('+')}</b>}
            </span>
          )}
        </td>
      ))}
    </tr>
  )
}

/** Bottles and buckets to fill, each with a box. */
function Fills({ plan, dilutionStyle }: Pick<JobSheetProps, 'plan' | 'dilutionStyle'>) {
  const formats = useFormats()
  const t = useTranslations()

  return (
    <ul className="sheet-fills">
      {plan.fills.map((fill) => {
        const { container, productName, recipe, stageIds } = fill
        const poured = formats.onMarks(strengthOf(fill, plan), recipe.totalMillilitres)
        return (
          <li key={`${productName}.${container}.${stageIds.join()}`} className="sheet-box">
            <b>
              {formats.poured(poured.concentrateMillilitres)}
              {poured.waterMillilitres > 0 &&
                t('sheet.addWater', { water: formats.poured(poured.waterMillilitres) })}
            </b>{' '}
            {productName}, {sayDilution(recipe.realFraction, dilutionStyle)},{' '}
            {t(`terms.delivery.${container}`)}
          </li>
        )
      })}
    </ul>
  )
}

interface MovesProps {
  readonly pass: SpokenPass
  readonly stages: readonly SpokenStage[]
  /** Who does a move, by its place, where two share a wheel. */
  readonly personOf: ReadonlyMap<number, number> | undefined
}

/** Moves of a pass in a line, with their tools; then how long its products dwell. */
function Moves({ pass, stages, personOf }: MovesProps) {
  const t = useTranslations()
  const format = useFormatter()

  const dwelling = stages.filter(
    ({ id, kind, dwellSeconds }) =>
      pass.stageIds.includes(id) && kind !== 'protect' && kind !== 'dress' && dwellSeconds.max > 0,
  )
  const said = new Set<string>()
  return (
    <>
      {pass.moves.map(({ words, corners, stepIds, tools }, at) => (
        <span key={`${words}.${stepIds[0]}`}>
          {at > 0 && ' · '}
          <b>{words}</b>
          {personOf?.has(at) && t('sheet.person', { number: personOf.get(at) ?? 0 })}
          {corners.length < pass.corners.length &&
            ` (${corners.map((corner) => t(`terms.positionShort.${corner}`)).join(', ')})`}
          {tools.length > 0 && <span className="soft"> {format.list(tools)}</span>}
        </span>
      ))}
      {dwelling
        .filter(({ productId }) => !said.has(productId) && said.add(productId))
        .map((stage) => (
          <span key={stage.id} className="sheet-dwell">
            {stage.productName}:{' '}
            {stage.dwellSeconds.min > 0 && t('sheet.dwell', { time: formatDwell(stage.dwellSeconds.min) })}
            {longestWords(stage, t)}
          </span>
        ))}
    </>
  )
}
