import { finishNames, type Finish } from '@/core/finishes/finish'
import type { TestSpot } from '@/core/job/testSpot'
import { formatDay } from '../format/format'

interface TestSpotRowsProps {
  readonly spots: readonly {
    readonly productId: string
    readonly productName: string
    readonly finish: Finish
    readonly result: TestSpot['result']
    readonly triedAt: Date
  }[]
  readonly now: Date
}

const resultWords: Record<TestSpot['result'], string> = {
  marked: 'marked it: is not planned on it any more',
  fine: 'left no mark: is not tried again',
}

/** What was tried at a hidden place of these wheels, and what came of it. */
export function TestSpotRows({ spots, now }: TestSpotRowsProps) {
  return (
    <ul className="rows">
      {spots.map(({ productId, productName, finish, result, triedAt }) => (
        <li key={`${productId} ${finish}`} className="row-item log-row">
          <div className="number">{formatDay(triedAt, now)}</div>
          <div>
            <b>{productName}</b> on {finishNames[finish]} {resultWords[result]}.
          </div>
        </li>
      ))}
    </ul>
  )
}
