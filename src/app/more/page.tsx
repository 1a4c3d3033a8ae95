import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { Link } from '@/ui/Link'
import { Words } from '@/i18n/Words'
import { DeviceRegion } from '@/ui/settings/DeviceRegion'
import { hasOwnLanguage } from '../pageLanguage'
import { caller } from '../access'
import { mayOpen } from '@/access-control/roles'
import { morePlaces } from '@/ui/frame/places'

export const generateMetadata = titled('frame.places.more')

/** Places that have no room in the bar of a phone. */
export default async function MorePage() {
  const t = await getTranslations()

  const role = (await caller())?.role ?? 'bay'
  return (
    <>
      <header className="place-head">
        <h1>{t('frame.places.more')}</h1>
      </header>
      <ul className="rows">
        {morePlaces
          .filter(({ href }) => mayOpen(role, href))
          .map(({ href, name }) => (
            <li key={href} className="row-item more-row">
              <Link href={href}>{t(`frame.places.${name}`)}</Link>
              <span className="soft">{t(`frame.purposes.${name}`)}</span>
            </li>
          ))}
      </ul>
      <Words of={['settings']}>
        <DeviceRegion hasOwn={await hasOwnLanguage()} />
      </Words>
    </>
  )
}
