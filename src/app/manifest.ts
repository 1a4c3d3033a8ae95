import type { MetadataRoute } from 'next'

/** What a phone needs to put it on its home screen. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Even Spoke',
    short_name: 'Even Spoke',
    description: 'Wheel care planning, and the bay.',
    start_url: '/',
    display: 'standalone',
    background_color: '#131c20',
    theme_color: '#131c20',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  }
}
