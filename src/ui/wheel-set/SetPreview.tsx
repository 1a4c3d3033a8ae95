import { useTranslations } from 'next-intl'
import Button from 'react-bootstrap/Button'
import type { SaidProblem } from '@/i18n/saidProblems'
import type { WheelSetInput } from '@/contracts/wheelSet'
import { Link } from '@/ui/Link'
import { ProblemAlert } from '../form/ProblemAlert'
import { drawnWheel } from '../wheel-drawing/drawnWheel'
import { WheelDrawing } from '../wheel-drawing/WheelDrawing'
import type { ScopedWheels } from './useScopedWheels'

interface SetPreviewProps {
  readonly wheels: ScopedWheels
  /** Those that stand at no field. */
  readonly problems: readonly SaidProblem[]
  readonly busy: boolean
  readonly cancelHref: string
}

/** The wheel as it is typed, what was refused, and the way on. */
export function SetPreview({ wheels, problems, busy, cancelHref }: SetPreviewProps) {
  const t = useTranslations()

  const name = wheels.scopes.find(({ scope }) => scope === wheels.scope)?.name ?? ''
  const drawn = wheels.first && drawnWheel(wheels.first as WheelSetInput['wheels'][number])
  return (
    <aside className="form-preview" aria-label={t('wheelSet.preview.label')}>
      <h2>{name}</h2>
      {drawn ? (
        <>
          <WheelDrawing {...drawn} id="preview" label={t('wheelSet.preview.drawing', { vehicle: name })} />
          <p className="soft">
            {t('wheelSet.preview.drawn', { percent: Math.round(drawn.wheel.openness * 100) })}
          </p>
        </>
      ) : (
        <p className="soft">{t('wheelSet.preview.missing')}</p>
      )}
      <div aria-live="polite">
        <ProblemAlert problems={problems} />
        {problems.some(({ path }) => path === 'version') && (
          <p className="mt-2">
            <a href={cancelHref} target="_blank">
              {t('wheelSet.openSaved')}
            </a>
          </p>
        )}
      </div>
      <div className="chips mt-3">
        <Button type="submit" disabled={busy}>
          {busy ? t('common.saving') : t('wheelSet.save')}
        </Button>
        <Link href={cancelHref} className="btn btn-outline-secondary">
          {t('common.cancel')}
        </Link>
      </div>
    </aside>
  )
}
