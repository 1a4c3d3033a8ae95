import { getFormats } from '@/i18n/getFormats'
import { getSay } from '@/i18n/getSay'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { headers } from 'next/headers'
import { Link } from '@/ui/Link'
import { notFound } from 'next/navigation'
import { familyOf } from '@/core/chemistry/families'
import { writeDilution } from '@/core/dilution/writeDilution'
import { cautionsFor } from '@/core/reasons/cautions'
import { isUuid } from '@/contracts/fields'
import { database } from '@/services/records'
import { findBottle } from '@/services/cabinet'
import { readSettings } from '@/services/settings'
import { PrintButton } from '@/ui/PrintButton'
import { networkAddress } from '@/services/pairing'
import { qrOf } from '../../qrOf'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('mixing.bottle.page')

export default async function BottlePage({ params }: { params: Promise<{ id: string }> }) {
  const formats = await getFormats()
  const t = await getTranslations()
  const say = await getSay()

  const { id } = await params
  const db = await database()
  const bottle = isUuid(id) ? await findBottle(db, id) : null
  if (!bottle) notFound()
  const settings = await readSettings(db)
  const family = familyOf(bottle.family)
  const mix = { from: bottle.fraction, to: bottle.fraction }
  const host = (await headers()).get('host') ?? 'localhost'
  // A camera is never the desk itself.
  const qr = await qrOf(`${networkAddress() ?? `http://${host}`}/mixing/${id}`)
  const concentrate = bottle.fraction * bottle.totalMillilitres
  return (
    <>
      <header className="place-head no-print">
        <div>
          <h1>{bottle.productName}</h1>
          <p className="lead-text">
            {bottle.emptiedAt
              ? t('mixing.bottle.emptied', { day: formats.fullDay(bottle.emptiedAt, 'long') })
              : t('mixing.bottle.printFirst')}
          </p>
        </div>
        <div className="chips">
          <Link href="/mixing" className="btn btn-outline-secondary">
            {t('mixing.bottle.back')}
          </Link>
          <PrintButton />
        </div>
      </header>
      <article className="bottle-label" aria-label={t('mixing.bottle.label')}>
        <div>
          <h2>{bottle.productName}</h2>
          <p>{t(`terms.family.${bottle.family}`)}</p>
          <p className="label-ratio">{writeDilution(mix, settings.dilutionStyle)}</p>
          <p>
            {formats.poured(concentrate)}
            {bottle.fraction < 1 &&
              t('mixing.addWater', { water: formats.poured(bottle.totalMillilitres - concentrate) })}
          </p>
          <p>
            {t('mixing.bottle.mixed', {
              day: formats.fullDay(bottle.mixedAt),
              by: bottle.mixedBy || 'none',
            })}
          </p>
          <ul>
            {[...cautionsFor(family).map(say), t('mixing.bottle.caution')].map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        </div>
        <div
          className="label-code"
          role="img"
          aria-label={t('mixing.bottle.code')}
          dangerouslySetInnerHTML={{ __html: qr }}
        />
      </article>
    </>
  )
}
