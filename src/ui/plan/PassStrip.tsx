import { useFormatter, useTranslations } from 'next-intl'
import type { ToolKind } from '@/core/tools/tool'
import type { Position } from '@/core/wheel/position'
import { sayShortly } from '@/core/reasons/sayCorners'
import type { ReactNode } from 'react'
import { formatDuration } from '@/i18n/format'
import { capitalised } from '@/i18n/sayer'
import type { SpokenMove, SpokenPass } from '@/i18n/spoken'
import { useSay } from '@/i18n/useSay'
import { ToolPicture } from './ToolPicture'
import { WheelMarks } from './WheelMarks'

interface PassStripProps {
  readonly pass: SpokenPass
  /** Its number among the passes at the wheels; null for what comes at the end. */
  readonly number: number | null
  readonly positions: readonly Position[]
  readonly kindOfTool: (name: string) => ToolKind | null
  /** Cautions that earlier passes have said already. */
  readonly said: ReadonlySet<string>
  /** Its products. */
  readonly children: ReactNode
}

/** Shows one pass: the moves in order with their tools, then the products. */
export function PassStrip({ pass, number, positions, kindOfTool, said, children }: PassStripProps) {
  'use memo'
  const t = useTranslations()
  const say = useSay()

  const { title, corners, moves, secondsAtWheel, parts, because } = pass
  const isOnAll = corners.length === positions.length
  const cautious = newCautions(moves, said)
  return (
    <li className="pass" data-wheels={corners.join(' ')}>
      <div className="pass-head">
        {number !== null && <span className="stage-number">{number}</span>}
        <h3>{title}</h3>
        {!isOnAll && <WheelMarks corners={corners} positions={positions} />}
        <span className="soft">
          {isOnAll ? '' : `${say(sayShortly(corners, positions))}, `}
          {formatDuration(secondsAtWheel)}
          {positions.length > 1 && t('plan.strip.perWheel')}
          {parts > 1 && t('plan.strip.parts', { count: parts })}
        </span>
      </div>
      {because && <p className="pass-because">{capitalised(because)}.</p>}
      <ol className="moves">
        {moves.map((move) => (
          <Move
            key={`${move.words}.${move.stepIds[0]}`}
            move={move}
            where={move.corners.length === corners.length ? null : say(sayShortly(move.corners, positions))}
            kindOfTool={kindOfTool}
          />
        ))}
      </ol>
      {cautious.map(({ words, cautions }) => (
        <p key={words} className="caution">
          <b>{capitalised(words)}:</b> {cautions.join(' ')}
        </p>
      ))}
      {children}
    </li>
  )
}

/** The cautions of each move that nothing before it has said. */
function newCautions(moves: readonly SpokenMove[], said: ReadonlySet<string>) {
  const known = new Set(said)
  return moves.flatMap(({ words, cautions }) => {
    const fresh = cautions.filter((text) => !known.has(text))
    for (const text of fresh) known.add(text)
    return fresh.length > 0 ? [{ words, cautions: fresh }] : []
  })
}

interface MoveProps {
  readonly move: SpokenMove
  /** The wheels that get it; null: all of the pass. */
  readonly where: string | null
  readonly kindOfTool: (name: string) => ToolKind | null
}

function Move({ move: { act, words, tools }, where, kindOfTool }: MoveProps) {
  const format = useFormatter()
  const kinds = [...new Set(tools.flatMap((name) => kindOfTool(name) ?? []))]
  return (
    <li className={`move${act === 'rinse' || act === 'preRinse' ? ' is-water' : ''}`}>
      <span className="move-words">{words}</span>
      {where && <span className="soft">{where}</span>}
      {tools.length > 0 && (
        <span className="move-tools">
          {kinds.map((kind) => (
            <ToolPicture key={kind} kind={kind} />
          ))}
          <span className="soft">{format.list(tools)}</span>
        </span>
      )}
    </li>
  )
}
