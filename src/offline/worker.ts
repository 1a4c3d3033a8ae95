import { CacheFirst, ExpirationPlugin, NetworkFirst, Serwist } from 'serwist'
import { isBayPage, isKeptFile, jobPages, keptFiles } from './caches'

/** Longer than this the bay waits for no network, s. */
const patienceSeconds = 3
const daySeconds = 86_400

/**
 * Stands between the pages and the network: files from the device first, a page of the bay from the network while there is one. Everything
 * else goes to the program as ever. A new version waits until no page of the old one is open, so never in mid-job.
 */
new Serwist({
  skipWaiting: false,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ url, sameOrigin }) => sameOrigin && isKeptFile(url),
      handler: new CacheFirst({
        cacheName: keptFiles,
        plugins: [new ExpirationPlugin({ maxEntries: 400, maxAgeSeconds: 60 * daySeconds })],
      }),
    },
    {
      matcher: ({ url, sameOrigin, request }) => sameOrigin && request.mode === 'navigate' && isBayPage(url),
      handler: new NetworkFirst({
        cacheName: jobPages,
        networkTimeoutSeconds: patienceSeconds,
        matchOptions: { ignoreSearch: true, ignoreVary: true },
        plugins: [new ExpirationPlugin({ maxEntries: 20, maxAgeSeconds: 7 * daySeconds })],
      }),
    },
  ],
}).addEventListeners()
