import Form from 'react-bootstrap/Form'
import type { LookGrade } from '@/core/protection/record'
import { positionShortNames, type Position } from '@/core/wheel/position'
import { LookChips } from './LookChips'
import { lookGrades, releaseNames, slicknessNames } from './lookWords'

/** What may be told of a look beside the beading. */
export interface Senses {
  readonly release: LookGrade | null
  readonly slickness: LookGrade | null
  /** Gloss units as they were typed; empty: not measured. */
  readonly gloss: string
}

interface SenseProps {
  readonly label: string
  readonly names: Record<LookGrade, string>
  readonly value: LookGrade | null
  readonly onChange: (value: LookGrade | null) => void
}

/** One more thing that can be told, by word; may be left out. */
function Sense({ label, names, value, onChange }: SenseProps) {
  return (
    <fieldset className="look-sense">
      <legend>{label}</legend>
      <LookChips
        label={label}
        choices={lookGrades.map((grade) => ({ name: names[grade], choice: grade }))}
        isChosen={(grade) => value === grade}
        choose={(grade) => onChange(value === grade ? null : grade)}
      />
    </fieldset>
  )
}

interface MoreToSayProps {
  readonly positions: readonly Position[]
  readonly at: readonly Position[]
  readonly choose: (at: readonly Position[]) => void
  readonly senses: Senses
  readonly change: (senses: Senses) => void
}

/** One wheel alone, and what a finger or a meter tells: only where somebody wants to. */
export function MoreToSay({ positions, at, choose, senses, change }: MoreToSayProps) {
  return (
    <details>
      <summary>One wheel alone, or more to say</summary>
      <div className="mt-2">
        <LookChips
          label="One wheel"
          choices={positions.map((position) => ({ name: positionShortNames[position], choice: position }))}
          isChosen={(position) => at.length === 1 && at[0] === position}
          choose={(position) => choose([position])}
        />
      </div>
      <Sense
        label="Dirt in the first rinse"
        names={releaseNames}
        value={senses.release}
        onChange={(release) => change({ ...senses, release })}
      />
      <Sense
        label="To a clean finger"
        names={slicknessNames}
        value={senses.slickness}
        onChange={(slickness) => change({ ...senses, slickness })}
      />
      <Form.Group controlId="gloss" className="look-gloss">
        <Form.Label>Gloss meter, units at 60°</Form.Label>
        <Form.Control
          inputMode="decimal"
          value={senses.gloss}
          onChange={(event) => change({ ...senses, gloss: event.target.value })}
        />
        <Form.Text>Kept beside the look; it moves no date.</Form.Text>
      </Form.Group>
    </details>
  )
}
