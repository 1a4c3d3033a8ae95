import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Stage } from '@/core/plan/plan'
import { foams, type Answer, type SpotSight, type Stayed } from '@/core/run/answer'
import type { LookGrade } from '@/core/protection/record'
import type { Question as Asked } from '@/core/acts/question'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { BeadPicture } from '../inspection/BeadPicture'
import { lookGrades } from '../inspection/lookWords'
import { FoamPicture } from './FoamPicture'
import { StayedPanel } from './StayedPanel'

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
export function QuestionPanel(props: QuestionProps) {
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
  const t = useTranslations()

  return (
    <>
      <div className="run-question is-foam" role="group" aria-label={t('bay.foam.label')}>
        {foams.map((foam) => (
          <button
            key={foam}
            type="button"
            className="foam-choice"
            data-best={foam === 'white' ? '' : undefined}
            onClick={() => answer({ question: 'foam', foam })}
          >
            <FoamPicture foam={foam} />
            {t(`bay.foam.${foam}`)}
          </button>
        ))}
      </div>
      <button type="button" className="link-button run-pass" onClick={pass}>
        {t('bay.foam.notSeen')}
      </button>
    </>
  )
}

function IronQuestion({ answer }: QuestionProps) {
  const t = useTranslations()

  return (
    <div className="run-question is-pair" role="group" aria-label={t('bay.iron.label')}>
      <Button className="btn-done" data-best="" onClick={() => answer({ question: 'iron', iron: 'done' })}>
        {t('bay.iron.done')}
      </Button>
      <Button
        variant="outline-secondary"
        className="is-chemistry"
        onClick={() => answer({ question: 'iron', iron: 'bleeding' })}
      >
        {t('bay.iron.bleeding')}
      </Button>
    </div>
  )
}

function LookQuestion({ answer, wheel, word, isProtected }: QuestionProps) {
  const t = useTranslations()

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
        doneWord={t('bay.check.treat')}
        done={() => {
          say(stayed)
          // What follows begins at the top, not where the soils were chosen.
          window.scrollTo({ top: 0 })
        }}
        back={() => setOpen(false)}
      />
    )
  return (
    <div className="run-question is-pair" role="group" aria-label={t('bay.check.label')}>
      {isProtected && <Beading beading={beading} choose={setBeading} />}
      <Button className="btn-done" data-best="" onClick={() => say([])}>
        {word}
      </Button>
      <Button variant="outline-secondary" onClick={() => setOpen(true)}>
        {t('bay.check.remains')}
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
  const t = useTranslations()

  return (
    <div className="run-beading" role="group" aria-labelledby="run-beading-ask">
      <p id="run-beading-ask">{t('bay.check.water')}</p>
      {lookGrades.map((grade) => (
        <button
          key={grade}
          type="button"
          className="bead-choice"
          aria-pressed={beading === grade}
          onClick={() => choose(beading === grade ? null : grade)}
        >
          <BeadPicture grade={grade} />
          {t(`terms.beading.${grade}`)}
        </button>
      ))}
    </div>
  )
}

function SpotQuestion({ answer, tried }: QuestionProps) {
  const t = useTranslations()

  const [asked, setAsked] = useState<Exclude<SpotSight, 'fine'> | null>(null)
  const say = (spot: SpotSight, stageId?: string) =>
    answer({ question: 'testSpot', spot, ...(stageId === undefined ? {} : { stageId }) })
  if (asked)
    return (
      <div
        className="run-question is-list"
        role="group"
        aria-label={t('bay.spot.which', { result: t(`bay.spot.${asked}`) })}
      >
        {tried.map(({ id, productName }) => (
          <Button key={id} variant="outline-secondary" onClick={() => say(asked, id)}>
            {productName}
          </Button>
        ))}
        <button type="button" className="link-button" onClick={() => setAsked(null)}>
          {t('common.back')}
        </button>
      </div>
    )
  const choose = (spot: Exclude<SpotSight, 'fine'>) => (tried.length > 1 ? setAsked(spot) : say(spot))
  return (
    <div className="run-question is-list" role="group" aria-label={t('bay.spot.label')}>
      <Button className="btn-done" data-best="" onClick={() => say('fine')}>
        {t('bay.spot.fine')}
      </Button>
      <Button variant="outline-secondary" onClick={() => choose('nothing')}>
        {t('bay.spot.nothing')}
      </Button>
      <Button variant="outline-secondary" onClick={() => choose('marked')}>
        {t('bay.spot.marked')}
      </Button>
    </div>
  )
}
