import { useTranslations } from 'next-intl'
import { bold } from '@/i18n/rich'
/** How the two common kinds of phones are told to trust the shop's certificate, each with a small picture of what to look for. */
export function TrustSteps() {
  const t = useTranslations()

  return (
    <div className="trust-steps">
      <figure>
        <svg viewBox="0 0 120 160" aria-hidden>
          <rect x="14" y="4" width="92" height="152" rx="14" className="trust-phone" />
          <rect x="24" y="26" width="72" height="16" rx="3" className="trust-row" />
          <rect x="24" y="50" width="72" height="16" rx="3" className="trust-row" />
          <rect x="24" y="90" width="72" height="22" rx="4" className="trust-row is-asked" />
          <rect x="70" y="94" width="22" height="14" rx="7" className="trust-on" />
          <circle cx="85" cy="101" r="5.5" className="trust-knob" />
        </svg>
        <figcaption>{t.rich('access.trust.profile', { b: bold })}</figcaption>
      </figure>
      <figure>
        <svg viewBox="0 0 120 160" aria-hidden>
          <rect x="14" y="4" width="92" height="152" rx="14" className="trust-phone" />
          <rect x="24" y="26" width="72" height="16" rx="3" className="trust-row" />
          <rect x="24" y="50" width="72" height="30" rx="3" className="trust-row is-asked" />
          <path d="M60 55 l9 3 v7 c0 6 -4 9 -9 11 c-5 -2 -9 -5 -9 -11 v-7 z" className="trust-on" />
          <rect x="24" y="88" width="72" height="16" rx="3" className="trust-row" />
        </svg>
        <figcaption>{t.rich('access.trust.file', { b: bold })}</figcaption>
      </figure>
    </div>
  )
}
