'use client'

import { useSay } from '@/i18n/useSay'
import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { bold } from '@/i18n/rich'
import { Link } from '@/ui/Link'
import { useState } from 'react'
import * as v from 'valibot'
import { parse } from '@/contracts/problems'
import { lookEffects, lookInput } from '@/contracts/protection'
import { exhaustive } from '@/core/exhaustive'
import type { LookEffect } from '@/core/due'
import type { LookGrade } from '@/core/protection/record'
import { saidProblems, type SaidProblem } from '@/i18n/saidProblems'
import { axleOf, type Position } from '@/core/wheel/position'
import { enter } from '../outbox/deviceOutbox'
import type { Outcome } from '../outbox/waiting'
import { TakePhotograph } from '../photographs/TakePhotograph'
import { BeadPicture } from './BeadPicture'
import { ProblemAlert } from '../form/ProblemAlert'
import { LookChips } from './LookChips'
import { LookEffects } from './LookEffects'
import { lookGrades } from './lookWords'
import { MoreToSay, type Senses } from './MoreToSay'

interface LookFormProps {
  readonly positions: readonly Position[]
  /** Whether a reviving wash was what the look is for. */
  readonly afterReviving: boolean
  readonly wheelSetId: string
  readonly doneHref: string
}

/** What became of a look that was given. */
type Given =
  | { readonly grade: LookGrade; readonly kind: 'stored'; readonly effects: readonly LookEffect[] }
  /** It waits on the device; what it moves is not known yet. */
  | { readonly grade: LookGrade; readonly kind: 'waiting' | 'refused' }

/** What a person says of a look; the rest is the device's. */
const whatIsSeen = v.omit(lookInput, ['requestId', 'secondsAgo'])

/** Gloss units as typed, with either decimal mark; not a number where it is none, so that it is refused by name. */
const glossOf = (text: string): number | null =>
  text.trim() === '' ? null : Number(text.trim().replace(',', '.'))

const keptAnswer = v.object({ kept: lookEffects })

/** The effects of a look that was stored, as the server told them. */
function givenBy(grade: LookGrade, outcome: Outcome): Given {
  switch (outcome.kind) {
    case 'stored': {
      const read = v.safeParse(keptAnswer, outcome.value)
      return { grade, kind: 'stored', effects: read.success ? read.output.kept : [] }
    }
    case 'refused':
      return { grade, kind: 'refused' }
    case 'revoked':
    case 'later':
      return { grade, kind: 'waiting' }
    default:
      return exhaustive(outcome)
  }
}

/** Wheels a look is at: an axle, or all. */
function scopesOf(
  positions: readonly Position[],
  t: Translator,
): { readonly name: string; readonly choice: readonly Position[] }[] {
  const fronts = positions.filter((position) => axleOf(position) === 'front')
  const rears = positions.filter((position) => axleOf(position) === 'rear')
  const axles =
    fronts.length > 0 && rears.length > 0
      ? [
          { name: t('terms.wheels.fronts'), choice: fronts },
          { name: t('terms.wheels.rears'), choice: rears },
        ]
      : []
  return [...axles, { name: t('terms.wheels.all'), choice: positions }]
}

/** A look in ten seconds: which wheels, how water beads; more only where somebody wants to. */
export function LookForm({ positions, afterReviving: proposed, wheelSetId, doneHref }: LookFormProps) {
  const t = useTranslations()
  const say = useSay()

  const [at, setAt] = useState(() => scopesOf(positions, t)[0]?.choice ?? positions)
  const [afterReviving, setAfterReviving] = useState(proposed)
  const [senses, setSenses] = useState<Senses>({ release: null, slickness: null, gloss: '' })
  const [problems, setProblems] = useState<readonly SaidProblem[]>([])
  const [given, setGiven] = useState<Given | null>(null)
  const [busy, setBusy] = useState(false)
  const look = async (beading: LookGrade): Promise<void> => {
    const read = parse(whatIsSeen, {
      positions: [...at],
      beading,
      release: senses.release,
      slickness: senses.slickness,
      glossUnits: glossOf(senses.gloss),
      afterReviving,
    })
    setProblems(read.ok ? [] : saidProblems(read.problems, say))
    if (!read.ok) return
    setBusy(true)
    const outcome = await enter({ kind: 'look', wheelSetId, look: read.value })
    setGiven(givenBy(beading, outcome))
    setBusy(false)
  }
  return (
    <section className="look-form" aria-label={t('protection.check.title')}>
      <LookChips
        label={t('protection.check.wheels')}
        choices={scopesOf(positions, t)}
        isChosen={(scope) => scope.join() === at.join()}
        choose={setAt}
      />
      <LookChips
        label={t('protection.check.when')}
        choices={[
          { name: t('protection.check.beforeWashing'), choice: false },
          { name: t('protection.check.afterReviving'), choice: true },
        ]}
        isChosen={(after) => after === afterReviving}
        choose={setAfterReviving}
      />
      <p className="look-ask">{t('protection.check.ask')}</p>
      <div className="look-grades">
        {lookGrades.map((grade) => (
          <button
            key={grade}
            type="button"
            className="look-grade"
            aria-pressed={given?.grade === grade && given.kind !== 'refused'}
            disabled={busy}
            onClick={() => void look(grade)}
          >
            <BeadPicture grade={grade} />
            <b>{t(`terms.beading.${grade}`)}</b>
          </button>
        ))}
      </div>
      <ProblemAlert problems={problems} />
      {given?.kind === 'stored' && <LookEffects effects={given.effects} />}
      {given?.kind === 'waiting' && (
        <div className="look-effects" role="status">
          {t.rich('protection.check.savedOnPhone', { b: bold })}
        </div>
      )}
      <MoreToSay positions={positions} at={at} choose={setAt} senses={senses} change={setSenses} />
      <p className="mt-3">
        <TakePhotograph
          wheelSetId={wheelSetId}
          positions={at.length === positions.length ? [] : at}
          label={t('photos.photo')}
        />
      </p>
      {given && given.kind !== 'refused' && (
        <p>
          <Link href={doneHref} className="btn btn-primary">
            {t('protection.check.done')}
          </Link>
        </p>
      )}
    </section>
  )
}
