import { getFormats } from '@/i18n/getFormats'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { Plus } from 'lucide-react'
import { Link } from '@/ui/Link'
import { database } from '@/services/records'
import { countWheelSets, listWheelSets } from '@/services/wheel-sets'
import { drawnWheels } from '@/ui/wheel-drawing/drawnWheel'
import { WheelDrawing } from '@/ui/wheel-drawing/WheelDrawing'
import { Pager } from '@/ui/Pager'
import { SearchLine } from '@/ui/SearchLine'
import { pageAsked, textOf, type SearchParams } from '../pageAsked'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('wheels.title')

/** Each with its drawing. */
const setsShown = 18

export default async function WheelsPage({ searchParams }: { searchParams: Promise<SearchParams> }) {
  const formats = await getFormats()
  const t = await getTranslations()

  const params = await searchParams
  const search = textOf(params.q)
  const db = await database()
  const page = await listWheelSets(db, { search, ...pageAsked(params, setsShown) })
  const sets = page.rows
  const isPart = page.hasEarlier || page.hasLater
  const count = isPart ? await countWheelSets(db, search) : sets.length
  const now = currentTime()
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('wheels.title')}</h1>
          <p className="lead-text">
            {t('wheels.lead', {
              part: isPart ? (search ? 'found' : 'all') : 'no',
              count,
              shown: sets.length,
            })}
          </p>
        </div>
        <Link href="/wheels/new" className="btn btn-primary">
          <Plus aria-hidden size={20} /> {t('wheels.add')}
        </Link>
      </header>
      <SearchLine label={t('wheels.search')} placeholder={t('wheels.searchPlaceholder')} search={search} />
      {sets.length === 0 && (
        <p>
          {search === '' ? t('wheels.none') : t('wheels.noMatch', { words: search })}{' '}
          <Link href={search === '' ? '/wheels/new' : '/wheels'}>
            {search === '' ? t('wheels.add') : t('wheels.showAll')}
          </Link>
        </p>
      )}
      <div className="set-list">
        {sets.map((set) => {
          const [wheel] = drawnWheels(set.wheels)
          const face = set.wheels[0]?.finishes.find(({ zone }) => zone === 'face')
          return (
            <Link key={set.id} href={`/wheels/${set.id}`} className="set-row">
              {wheel ? (
                <WheelDrawing
                  {...wheel}
                  id={`w${set.id.slice(0, 8)}`}
                  label={t('wheels.drawing', {
                    spokes: wheel.wheel.spokeCount,
                    finish: t(`terms.finish.${face?.finish ?? 'unknown'}`),
                  })}
                />
              ) : (
                <span />
              )}
              <div>
                <h3>{set.vehicleName}</h3>
                <p>{set.name}</p>
                <p className="soft">
                  {t(`terms.vehicleKind.${set.vehicleKind}`)}, {set.wheels.length}{' '}
                  {set.wheels.length === 1 ? 'wheel' : 'wheels'},{' '}
                  {t(`terms.finish.${face?.finish ?? 'unknown'}`)}
                </p>
                <p className="soft">
                  {set.lastVisitAt
                    ? t('wheels.lastVisit', { ago: formats.ago(set.lastVisitAt, now) })
                    : t('wheels.noVisit')}
                </p>
              </div>
            </Link>
          )
        })}
      </div>
      <Pager
        label={t('wheels.pages.label')}
        path="/wheels"
        query={{ q: search }}
        page={page}
        earlier={t('wheels.pages.earlier')}
        later={t('wheels.pages.later')}
      />
    </>
  )
}
