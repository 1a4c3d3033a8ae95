/** What a page may load and run: our own files, and scripts that carry the answer's nonce. */
export function contentSecurityPolicy(nonce: string): string {
  return [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    "style-src-elem 'self'",
    // Drawings and bars carry their measures as attributes.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "manifest-src 'self'",
    "form-action 'self'",
    "base-uri 'none'",
    "frame-ancestors 'none'",
  ].join('; ')
}

/** Headers of every answer, pages, data and refusals alike. */
export const everyAnswer: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'permissions-policy':
    'camera=(self), microphone=(), geolocation=(), payment=(), usb=(), screen-wake-lock=(self)',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'x-frame-options': 'DENY',
}

/** Files that never change under their name. */
export const isKeptFile = (path: string): boolean => path.startsWith('/_next/static/')
