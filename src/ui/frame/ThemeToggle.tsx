'use client'

import { useTranslations } from 'next-intl'
import { SunMoon } from 'lucide-react'

/** Switches between light and dark and remembers it; until then the device decides. */
export function ThemeToggle() {
  const t = useTranslations()

  const toggle = () => {
    const root = document.documentElement
    const dark =
      root.dataset.theme === 'dark' ||
      (root.dataset.theme === undefined && matchMedia('(prefers-color-scheme: dark)').matches)
    const next = dark ? 'light' : 'dark'
    root.dataset.theme = next
    document.cookie = `theme=${next}; path=/; max-age=31536000; samesite=lax`
  }
  return (
    <button type="button" className="theme-toggle" onClick={toggle} aria-label={t('frame.theme')}>
      <SunMoon aria-hidden size={22} />
    </button>
  )
}
