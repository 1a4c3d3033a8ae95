import type { LookGrade } from '@/core/protection/record'
import { positionShortNames, type Position } from '@/core/wheel/position'
import { Link } from '../Link'
import { ActionButton, type ActionButtonProps } from '../form/ActionButton'
import { formatDay } from '../format/format'
import { beadNames } from '../look/lookWords'

interface Look {
  readonly id: string
  readonly at: Date
  readonly positions: readonly Position[]
  readonly beading: LookGrade
  readonly glossUnits: number | null
  readonly afterReviving: boolean
}

interface LookRowsProps {
  readonly looks: readonly Look[]
  readonly now: Date
  readonly takeBack: (lookId: string) => ReturnType<ActionButtonProps['action']>
  /** Page with all of them; null: these are all. */
  readonly allAt: string | null
}

/** The last looks; each can be taken back. */
export function LookRows({ looks, now, takeBack, allAt }: LookRowsProps) {
  return (
    <section aria-labelledby="looks" className="mt-4">
      <div className="section-head">
        <h2 id="looks">Looks</h2>
      </div>
      {looks.length === 0 && <p className="py-2">None yet. Each one moves the dates and makes them surer.</p>}
      <ul className="rows">
        {looks.map((look) => (
          <li key={look.id} className="row-item stock-row">
            <span>
              {formatDay(look.at, now)}, {look.positions.map((at) => positionShortNames[at]).join(', ')}:{' '}
              {beadNames[look.beading]}
              {look.afterReviving && ', after a reviving wash'}
              {look.glossUnits !== null && `, ${look.glossUnits} gloss units`}
            </span>
            <ActionButton
              action={takeBack.bind(null, look.id)}
              className="btn btn-quiet"
              label={`Take back the look of ${formatDay(look.at, now)}`}
            >
              Take back
            </ActionButton>
          </li>
        ))}
      </ul>
      {allAt && (
        <Link href={allAt} scroll={false}>
          Show all checks
        </Link>
      )}
    </section>
  )
}
