import { getLocale, getTranslations } from 'next-intl/server'
import { plainLanguage } from '@/i18n/language'
import { Words } from '@/i18n/Words'
import '@fontsource/barlow-condensed/500.css'
import '@fontsource/barlow-condensed/600.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@/ui/theme/theme.scss'
import type { Metadata, Viewport } from 'next'
import { cookies, headers } from 'next/headers'
import type { ReactNode } from 'react'
import { CostsShown } from '@/ui/frame/CostsShown'
import { callerHeaders } from '@/access-control/caller'
import { CameBack } from '@/ui/frame/CameBack'
import { LiveMark } from '@/ui/frame/LiveMark'
import { Mark } from '@/ui/frame/Mark'
import { PlaceLinks } from '@/ui/frame/PlaceLinks'
import { ThemeToggle } from '@/ui/frame/ThemeToggle'
import { OutboxMark } from '@/ui/outbox/OutboxMark'

export async function generateMetadata(): Promise<Metadata> {
  const t = await getTranslations()
  return {
    title: { default: 'Even Spoke', template: '%s · Even Spoke' },
    description: t('frame.description'),
    manifest: '/manifest.webmanifest',
  }
}

export const viewport: Viewport = {
  themeColor: '#131c20',
  width: 'device-width',
  initialScale: 1,
}

export default async function RootLayout({ children }: { children: ReactNode }) {
  const t = await getTranslations()

  const theme = (await cookies()).get('theme')?.value
  const role = (await headers()).get(callerHeaders.role)
  return (
    <html
      lang={plainLanguage(await getLocale())}
      data-theme={theme === 'light' || theme === 'dark' ? theme : undefined}
      suppressHydrationWarning
    >
      <body>
        <Words of={[]}>
          <LiveMark />
          <CameBack />
          <a href="#main" className="skip-link">
            {t('frame.skip')}
          </a>
          <div className={role ? 'frame' : 'frame is-outside'}>
            <nav className="frame-nav" aria-label={t('frame.places.label')}>
              <div className="frame-mark">
                <Mark />
              </div>
              {role && <PlaceLinks role={role === 'bay' ? 'bay' : 'owner'} />}
              <div className="frame-foot">
                <ThemeToggle />
              </div>
            </nav>
            <main id="main" className="frame-main">
              {role && <OutboxMark />}
              <CostsShown isShown={role === 'owner'}>{children}</CostsShown>
            </main>
          </div>
        </Words>
      </body>
    </html>
  )
}
