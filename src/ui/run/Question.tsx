import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Stage } from '@/core/plan/plan'
import { foams, type Answer, type Foam, type SpotSight, type Stayed } from '@/core/run/answer'
import type { Question as Asked } from '@/core/work/question'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { FoamPicture } from './FoamPicture'
import { StayedPanel } from './StayedPanel'

const foamWords: Record<Foam, string> = { white: 'White', cream: 'Cream', tan: 'Tan', brown: 'Brown' }
const spotWords: Record<SpotSight, string> = {
  fine: 'Fine, go on',
  nothing: 'Nothing came off',
  marked: 'It marked',
}

interface QuestionProps {
  readonly asks: Asked
  /** What is done before it is asked: "Rinsed, clean". */
  readonly word: string
  readonly wheel: DrawnWheel | undefined
  /** What is tried, where a test spot is asked for. */
  readonly tried: readonly Stage[]
  readonly answer: (answer: Answer) => void
  /** Done, and nothing looked at: the plan goes on as it is. */
  readonly pass: () => void
}

/** The question at the end of a card, in place of the one button. */
export function Question(props: QuestionProps) {
  switch (props.asks) {
    case 'foam':
      return <FoamQuestion {...props} />
    case 'iron':
      return <IronQuestion {...props} />
    case 'look':
      return <LookQuestion {...props} />
    case 'testSpot':
      return <SpotQuestion {...props} />
    default:
      return props.asks satisfies never
  }
}

function FoamQuestion({ answer, pass }: QuestionProps) {
  return (
    <>
      <div className="run-question is-foam" role="group" aria-label="Foam">
        {foams.map((foam) => (
          <button
            key={foam}
            type="button"
            className="foam-choice"
            data-best={foam === 'white' ? '' : undefined}
            onClick={() => answer({ question: 'foam', foam })}
          >
            <FoamPicture foam={foam} />
            {foamWords[foam]}
          </button>
        ))}
      </div>
      <button type="button" className="link-button run-pass" onClick={pass}>
        Scrubbed, foam not seen
      </button>
    </>
  )
}

function IronQuestion({ answer }: QuestionProps) {
  return (
    <div className="run-question is-pair" role="group" aria-label="Iron">
      <Button className="btn-done" data-best="" onClick={() => answer({ question: 'iron', iron: 'done' })}>
        Rinsed, bled out
      </Button>
      <Button
        variant="outline-secondary"
        className="is-chemistry"
        onClick={() => answer({ question: 'iron', iron: 'bleeding' })}
      >
        Still bleeding
      </Button>
    </div>
  )
}

function LookQuestion({ answer, wheel, word }: QuestionProps) {
  const [stayed, setStayed] = useState<readonly Stayed[]>([])
  const [isOpen, setOpen] = useState(false)
  if (isOpen && wheel)
    return (
      <StayedPanel
        wheel={wheel}
        stayed={stayed}
        change={setStayed}
        doneWord="Treat it"
        done={() => {
          answer({ question: 'look', stayed })
          // What follows begins at the top, not where the soils were chosen.
          window.scrollTo({ top: 0 })
        }}
        back={() => setOpen(false)}
      />
    )
  return (
    <div className="run-question is-pair" role="group" aria-label="Look">
      <Button className="btn-done" data-best="" onClick={() => answer({ question: 'look', stayed: [] })}>
        {word}
      </Button>
      <Button variant="outline-secondary" onClick={() => setOpen(true)}>
        Something stayed
      </Button>
    </div>
  )
}

function SpotQuestion({ answer, tried }: QuestionProps) {
  const [asked, setAsked] = useState<Exclude<SpotSight, 'fine'> | null>(null)
  const say = (spot: SpotSight, stageId?: string) =>
    answer({ question: 'testSpot', spot, ...(stageId === undefined ? {} : { stageId }) })
  if (asked)
    return (
      <div className="run-question is-list" role="group" aria-label={`${spotWords[asked]}: which?`}>
        {tried.map(({ id, productName }) => (
          <Button key={id} variant="outline-secondary" onClick={() => say(asked, id)}>
            {productName}
          </Button>
        ))}
        <button type="button" className="link-button" onClick={() => setAsked(null)}>
          Back
        </button>
      </div>
    )
  const choose = (spot: Exclude<SpotSight, 'fine'>) => (tried.length > 1 ? setAsked(spot) : say(spot))
  return (
    <div className="run-question is-list" role="group" aria-label="Test spot">
      <Button className="btn-done" data-best="" onClick={() => say('fine')}>
        {spotWords.fine}
      </Button>
      <Button variant="outline-secondary" onClick={() => choose('nothing')}>
        {spotWords.nothing}
      </Button>
      <Button variant="outline-secondary" onClick={() => choose('marked')}>
        {spotWords.marked}
      </Button>
    </div>
  )
}
