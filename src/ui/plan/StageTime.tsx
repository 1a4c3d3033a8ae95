import { useTranslations } from 'next-intl'
import type { SpokenStage } from '@/i18n/spoken'
import { formatDuration } from '@/i18n/format'

/**
 * One stage at one wheel, drawn to length on the scale all stages share: hands, then dwell, then the room to the latest rinse.
 */
export function StageTime({
  stage,
  scaleSeconds,
}: {
  readonly stage: SpokenStage
  readonly scaleSeconds: number
}) {
  const t = useTranslations()

  const atOneWheel = stage.operatorSeconds / stage.corners.length
  const dwells = stage.kind !== 'protect' && stage.kind !== 'dress'
  const { min, max } = stage.dwellSeconds
  const width = (seconds: number) => `${Math.max(0, Math.min(100, (seconds / scaleSeconds) * 100))}%`
  const dwell =
    !dwells || max === 0
      ? ''
      : min > 0
        ? t('plan.dwell', { from: formatDuration(min), to: formatDuration(max) })
        : t('plan.rinseBy', { time: formatDuration(max) })
  return (
    <div className="stage-time">
      <div className="bar-text">
        {formatDuration(atOneWheel)}
        {dwell}
      </div>
      <div className="bar" aria-hidden>
        <span className="bar-work" style={{ width: width(atOneWheel) }} />
        {dwells && (
          <>
            <span className="bar-dwell" style={{ width: width(min) }} />
            <span className="bar-limit" style={{ width: width(max - min) }} />
          </>
        )}
      </div>
    </div>
  )
}

/** Seconds that the longest stage needs, so that all bars have one scale. */
export const sharedScaleSeconds = (stages: readonly SpokenStage[]): number =>
  Math.max(
    1,
    ...stages.map(
      (stage) =>
        stage.operatorSeconds / stage.corners.length +
        (stage.kind === 'protect' || stage.kind === 'dress' ? 0 : stage.dwellSeconds.max),
    ),
  )
