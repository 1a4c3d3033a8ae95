import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Stage } from '@/core/plan/plan'
import { foams, type Answer, type Foam, type SpotSight, type Stayed } from '@/core/run/answer'
import type { LookGrade } from '@/core/protection/record'
import type { Question as Asked } from '@/core/work/question'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { BeadPicture } from '../look/BeadPicture'
import { beadNames, lookGrades } from '../look/lookWords'
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
  /** Whether it has protection on that the look can be at, too. */
  readonly isProtected: boolean
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

function LookQuestion({ answer, wheel, word, isProtected }: QuestionProps) {
  const [beading, setBeading] = useState<LookGrade | null>(null)
  const [stayed, setStayed] = useState<readonly Stayed[]>([])
  const [isOpen, setOpen] = useState(false)
  const say = (what: readonly Stayed[]) =>
    answer({ question: 'look', stayed: what, ...(beading === null ? {} : { beading }) })
  if (isOpen && wheel)
    return (
      <StayedPanel
        wheel={wheel}
        stayed={stayed}
        change={setStayed}
        doneWord="Treat it"
        done={() => {
          say(stayed)
          // What follows begins at the top, not where the soils were chosen.
          window.scrollTo({ top: 0 })
        }}
        back={() => setOpen(false)}
      />
    )
  return (
    <div className="run-question is-pair" role="group" aria-label="Look">
      {isProtected && <Beading beading={beading} choose={setBeading} />}
      <Button className="btn-done" data-best="" onClick={() => say([])}>
        {word}
      </Button>
      <Button variant="outline-secondary" onClick={() => setOpen(true)}>
        Something stayed
      </Button>
    </div>
  )
}

/** How the rinse beads on the protection: one tap more for who wants its date right. */
function Beading({
  beading,
  choose,
}: {
  readonly beading: LookGrade | null
  readonly choose: (beading: LookGrade | null) => void
}) {
  return (
    <div className="run-beading" role="group" aria-labelledby="run-beading-ask">
      <p id="run-beading-ask">Water on its protection, if you like</p>
      {lookGrades.map((grade) => (
        <button
          key={grade}
          type="button"
          className="bead-choice"
          aria-pressed={beading === grade}
          onClick={() => choose(beading === grade ? null : grade)}
        >
          <BeadPicture grade={grade} />
          {beadNames[grade]}
        </button>
      ))}
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
