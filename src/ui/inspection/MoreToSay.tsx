import { useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import type { LookGrade } from '@/core/protection/record'
import type { Position } from '@/core/wheel/position'
import { LookChips } from './LookChips'
import { lookGrades } from './lookWords'

/** What may be told of a look beside the beading. */
export interface Senses {
  readonly release: LookGrade | null
  readonly slickness: LookGrade | null
  /** Gloss units as they were typed; empty: not measured. */
  readonly gloss: string
}

interface SenseProps {
  readonly label: string
  readonly nameOf: (grade: LookGrade) => string
  readonly value: LookGrade | null
  readonly onChange: (value: LookGrade | null) => void
}

/** One more thing that can be told, by word; may be left out. */
function Sense({ label, nameOf, value, onChange }: SenseProps) {
  return (
    <fieldset className="look-sense">
      <legend>{label}</legend>
      <LookChips
        label={label}
        choices={lookGrades.map((grade) => ({ name: nameOf(grade), choice: grade }))}
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
  const t = useTranslations()

  return (
    <details>
      <summary>{t('protection.check.more')}</summary>
      <div className="mt-2">
        <LookChips
          label={t('protection.check.oneWheel')}
          choices={positions.map((position) => ({
            name: t(`terms.positionShort.${position}`),
            choice: position,
          }))}
          isChosen={(position) => at.length === 1 && at[0] === position}
          choose={(position) => choose([position])}
        />
      </div>
      <Sense
        label={t('protection.check.dirt')}
        nameOf={(grade) => t(`terms.release.${grade}`)}
        value={senses.release}
        onChange={(release) => change({ ...senses, release })}
      />
      <Sense
        label={t('protection.check.touch')}
        nameOf={(grade) => t(`terms.slickness.${grade}`)}
        value={senses.slickness}
        onChange={(slickness) => change({ ...senses, slickness })}
      />
      <Form.Group controlId="gloss" className="look-gloss">
        <Form.Label>{t('protection.check.gloss')}</Form.Label>
        <Form.Control
          inputMode="decimal"
          value={senses.gloss}
          onChange={(event) => change({ ...senses, gloss: event.target.value })}
        />
        <Form.Text>{t('protection.check.glossNote')}</Form.Text>
      </Form.Group>
    </details>
  )
}
