import { useTranslations } from 'next-intl'
import type { WheelSetInput } from '@/contracts/wheelSet'
import { Link } from '@/ui/Link'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import type { WritingForm } from '../form/useWritingForm'
import { drawnWheel } from '../wheel-drawing/drawnWheel'
import { WheelDrawing } from '../wheel-drawing/WheelDrawing'
import type { ScopedWheels } from './useScopedWheels'
import type { SetValues } from './wheelValues'

interface SetPreviewProps {
  readonly form: WritingForm<SetValues>
  readonly wheels: ScopedWheels
  readonly cancelHref: string
}

/** Whether the problem of a path stands at its field. */
const isAtField = (path: string): boolean => /^(vehicle|wheels|name|note)/.test(path)

/** The wheel as it is typed, what was refused, and the way on. */
export function SetPreview({ form, wheels, cancelHref }: SetPreviewProps) {
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
      <FormStatus form={form} isAtField={isAtField} />
      {form.fixOf('version') && (
        <p className="mt-2">
          <a href={cancelHref} target="_blank">
            {t('wheelSet.openSaved')}
          </a>
        </p>
      )}
      <div className="chips mt-3">
        <SubmitButton form={form}>{t('wheelSet.save')}</SubmitButton>
        <Link href={cancelHref} className="btn btn-outline-secondary">
          {t('common.cancel')}
        </Link>
      </div>
    </aside>
  )
}
