import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import type { KnownLayer } from '@/core/forecast'
import { Link } from '@/ui/Link'
import { LayerChart } from './LayerChart'
import { WhyDueWords } from './WhyDueWords'

interface LayerLifeProps {
  readonly wheelSetId: string
  readonly layer: KnownLayer
  readonly now: Date
}

/** One layer: what is left of it, when it is due and how sure that is, what it went through, and why. */
export function LayerLife({ wheelSetId, layer, now }: LayerLifeProps) {
  const formats = useFormats()
  const t = useTranslations()

  const { facts, forecast, why, course, looks, washes, winters } = layer
  const { topUp, renew } = forecast
  const name = `${facts.productName}, ${t(`terms.axle.${facts.axle}`)}`
  const leftPercent = Math.round(Math.max(0, 1 - forecast.usedShare) * 100)
  const day = (at: Date): string => formats.day(at, now)
  return (
    <section className="mb-4" aria-label={name}>
      <div className="section-head">
        <h2>{name}</h2>
        <span className="number">{t('protection.life.left', { percent: leftPercent })}</span>
      </div>
      <p className="mt-2 mb-0">
        {t('protection.life.dates', {
          topUp: day(topUp.p50),
          topUpFrom: day(topUp.p10),
          topUpTo: day(topUp.p90),
          gone: day(renew.p50),
          goneFrom: day(renew.p10),
          goneTo: day(renew.p90),
          applied: day(facts.appliedAt),
          coats: facts.coats,
        })}
      </p>
      <ClogNote wheelSetId={wheelSetId} kind={forecast.clog.kind} />
      <LayerChart
        label={t('protection.life.chart', {
          product: facts.productName,
          axle: t(`terms.axle.${facts.axle}`),
          percent: leftPercent,
        })}
        course={course}
        looks={looks}
        washes={washes}
        winters={winters}
        now={now}
      />
      <WhyDueWords why={why} />
    </section>
  )
}

interface ClogNoteProps {
  readonly wheelSetId: string
  readonly kind: KnownLayer['forecast']['clog']['kind']
}

/** Clogged is not gone: what to do before it is renewed, and what was found. */
function ClogNote({ wheelSetId, kind }: ClogNoteProps) {
  const t = useTranslations()

  if (kind === 'clogged')
    return (
      <p className="clog-note">
        {t.rich('protection.clog.maybe', {
          plan: (words) => (
            <Link href={`/wheels/${wheelSetId}/intake?service=coatedMaintenance`}>{words}</Link>
          ),
          check: (words) => <Link href={`/wheels/${wheelSetId}/look?after=reviving`}>{words}</Link>,
        })}
      </p>
    )
  if (kind === 'wasClogged') return <p className="clog-note">{t('protection.clog.was')}</p>
  if (kind === 'gone') return <p className="clog-note">{t('protection.clog.gone')}</p>
  return null
}
