'use client'

import { useLocale, useTranslations } from 'next-intl'
import { useState } from 'react'
import type { Region } from '@/core/units/region'
import { deviceLanguageCookie, languageOfRegion } from '@/i18n/language'
import { regionOfTag } from '@/i18n/regionTag'
import { ChoiceField } from '../form/ChoiceField'
import { RegionFields } from './RegionFields'

const year = 31_536_000
const ways = ['shop', 'own'] as const

/** Everything that is on the page was written in the other units: it is loaded anew. */
function keep(region: Region | null): void {
  const value = region ? `${languageOfRegion(region)}; max-age=${year}` : '; max-age=0'
  document.cookie = `${deviceLanguageCookie}=${value}; path=/; samesite=lax`
  location.reload()
}

/** Units and language of this device alone. */
export function DeviceRegion({ hasOwn }: { hasOwn: boolean }) {
  const t = useTranslations()
  const [region, setRegion] = useState(regionOfTag(useLocale()))
  return (
    <section aria-labelledby="device-units" className="device-region">
      <h2 id="device-units">{t('settings.region.device.title')}</h2>
      <p className="soft">{t('settings.region.device.explained')}</p>
      <ChoiceField
        id="device-own"
        label={t('settings.region.device.own')}
        value={hasOwn ? 'own' : 'shop'}
        choices={ways.map((way) => [way, t(`settings.region.device.ways.${way}`)] as const)}
        set={(way) => keep(way === 'own' ? region : null)}
      />
      {hasOwn && (
        <RegionFields
          prefix="device-"
          value={region}
          change={(next) => {
            setRegion(next)
            keep(next)
          }}
        />
      )}
    </section>
  )
}
