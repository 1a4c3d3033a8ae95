import { Fragment } from 'react'
import { deliveryNames } from '@/core/chemistry/family'
import { sayDilution, type DilutionStyle } from '@/core/dilution'
import type { Plan } from '@/core/plan/plan'
import { services } from '@/core/visit-kinds/service'
import { sayMinutes } from '@/core/timing/stageTiming'
import { formatClock, formatDuration, formatMillilitres } from '../format/format'
import { PatternWords } from '../plan/PatternWords'
import { cardTitle, lineTitle } from '../run/cardWords'

interface JobSheetProps {
  readonly title: string
  readonly plan: Plan
  readonly dilutionStyle: DilutionStyle
  /** Instant of the start with the offset of the wall clock, minutes; absent: counted from zero. */
  readonly startAt: string | undefined
  readonly utcOffsetMinutes: number
}

/** The job on paper: bottles to fill, then every step with its clock time, tools and cautions. */
export function JobSheet({ title, plan, dilutionStyle, startAt, utcOffsetMinutes }: JobSheetProps) {
  const steps = new Map(plan.steps.map((step) => [step.id, step]))
  const entries =
    plan.sequence?.entries ??
    plan.steps.map(({ id, operatorSeconds }) => ({
      stepId: id,
      person: 0,
      startSeconds: 0,
      endSeconds: operatorSeconds,
    }))
  const clock = (seconds: number): string =>
    startAt
      ? new Date(new Date(startAt).getTime() + utcOffsetMinutes * 60_000 + seconds * 1000)
          .toISOString()
          .slice(11, 16)
      : formatClock(seconds)
  const people = plan.sequence?.people ?? 1
  // Two people's cards lie in each other's way on paper: there every step names its wheel.
  const cards = people > 1 ? [] : (plan.sequence?.cards ?? [])
  const cardAt = new Map(cards.map((card) => [card.taps[0]?.stepIds[0], card]))
  const cautions = [...new Set(plan.steps.flatMap((step) => step.cautions))]
  return (
    <article className="sheet">
      <h1>{title}</h1>
      <p>
        {services[plan.service].name}. {plan.headline}
        {plan.sequence && (
          <>
            {' '}
            Done after <b>{formatDuration(plan.sequence.endSeconds)}</b>
            {people > 1 && ' with two people'}.
          </>
        )}
      </p>
      {plan.sequence?.pattern && <PatternWords pattern={plan.sequence.pattern} />}
      <h2>Fill</h2>
      <ul className="sheet-fills">
        {plan.fills.map(({ container, productName, recipe, stageIds }) => (
          <li key={`${productName}.${container}.${stageIds.join()}`}>
            <b>{productName}</b>, {deliveryNames[container]}
            <br />
            {sayDilution(recipe.realFraction, dilutionStyle)}:{' '}
            {formatMillilitres(recipe.concentrateMillilitres)}
            {recipe.waterMillilitres > 0 && ` + ${formatMillilitres(recipe.waterMillilitres)} water`}
          </li>
        ))}
      </ul>
      <h2 className="mt-3">Steps</h2>
      <table className="sheet-steps">
        <thead>
          <tr>
            <th aria-label="Done" />
            <th>Time</th>
            {people > 1 && <th>Who</th>}
            <th>What</th>
            <th>With</th>
          </tr>
        </thead>
        <tbody>
          {entries.map(({ stepId, person, startSeconds }) => {
            const step = steps.get(stepId)
            if (!step) return null
            const card = cardAt.get(stepId)
            return (
              <Fragment key={stepId}>
                {card && (
                  <tr className="sheet-card">
                    <th colSpan={people > 1 ? 5 : 4} scope="rowgroup">
                      {cardTitle(
                        card,
                        card.taps.flatMap(({ stepIds }) => stepIds.flatMap((id) => steps.get(id) ?? [])),
                      )}
                    </th>
                  </tr>
                )}
                <tr>
                  <td className="sheet-box" />
                  <td className="sheet-time">{clock(startSeconds)}</td>
                  {people > 1 && <td>{person + 1}</td>}
                  <td>
                    <b>{cards.length > 0 ? lineTitle(step) : step.title}</b>
                    <br />
                    <span className="soft">
                      {step.detail}
                      {step.startsDwell &&
                        `${step.startsDwell.minSeconds > 0 ? ` Dwell ${sayMinutes(step.startsDwell.minSeconds)}, rinse` : ' Rinse'} within ${sayMinutes(step.startsDwell.maxSeconds)}.`}
                    </span>
                  </td>
                  <td>{step.tools.join(', ')}</td>
                </tr>
              </Fragment>
            )
          })}
        </tbody>
      </table>
      <h2 className="mt-3">Mind</h2>
      <ul>
        {cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      <p className="soft">
        Times and amounts are estimates. Labels, safety data sheets and local rules come first.
      </p>
    </article>
  )
}
