// What a phone is shown before it trusts the shop: one page and one file, over plain HTTP, because nothing else works yet.
import { say } from './say.mjs'

const words = (key) => say(`trust.${key}`).replaceAll('&', '&amp;').replaceAll('<', '&lt;')

const page = (pairAddress) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${words('page')}</title>
<style>body{font:18px/1.5 system-ui,sans-serif;margin:24px;max-width:34em;background:#e6ebe8;color:#131c20}
a.b{display:block;padding:18px;margin:12px 0;background:#131c20;color:#fff;border-radius:4px 4px 22px 4px;text-align:center}</style></head>
<body><h1>${words('title')}</h1>
<p>${words('why')}</p>
<p><a class="b" href="/even-spoke.crt">${words('get')}</a></p>
<ol><li>${words('profile')}</li><li>${words('security')}</li><li>${words('compare')}</li></ol>
<p><a class="b" href="${pairAddress}">${words('pair')}</a></p></body></html>`

const headers = {
  'cache-control': 'no-store',
  'x-content-type-options': 'nosniff',
  'content-security-policy':
    "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'",
  'referrer-policy': 'no-referrer',
}

/**
 * @param authority its certificate, PEM
 * @param pairAddress where the phone goes next, over HTTPS
 */
export function trustPage(authority, pairAddress) {
  return (request, response) => {
    if (request.method !== 'GET' && request.method !== 'HEAD') return response.writeHead(405, headers).end()
    if (request.url === '/even-spoke.crt')
      return response
        .writeHead(200, { ...headers, 'content-type': 'application/x-x509-ca-cert' })
        .end(authority)
    if (request.url === '/' || request.url === '/trust')
      return response
        .writeHead(200, { ...headers, 'content-type': 'text/html; charset=utf-8' })
        .end(page(pairAddress))
    return response.writeHead(404, headers).end()
  }
}
