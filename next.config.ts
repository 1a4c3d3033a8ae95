import { readdirSync } from 'node:fs'
import type { NextConfig } from 'next'
import createNextIntlPlugin from 'next-intl/plugin'

const config: NextConfig = {
  serverExternalPackages: ['@electric-sql/pglite', 'piscina', 'pg', '@node-rs/argon2'],
  poweredByHeader: false,
  // The labels of bottles that were printed earlier lead there.
  redirects: () =>
    Promise.resolve([{ source: '/bench/:path*', destination: '/mixing/:path*', permanent: true }]),
  devIndicators: false,
  images: { unoptimized: true },
  // Only what says 'use memo': the plan, which is drawn again while an order is worked out.
  reactCompiler: { compilationMode: 'annotation' },
  // `npm test` checks the types; a build that is only to be started need not do it again.
  typescript: { ignoreBuildErrors: true },
  experimental: {
    // The server cuts off what is larger long before; backups do not come through the proxy.
    proxyClientMaxBodySize: '6mb',
    optimizePackageImports: ['react-bootstrap', 'lucide-react'],
    // Imports are held to their own limits, with a message of their own.
    serverActions: { bodySizeLimit: '4mb' },
  },
  sassOptions: {
    // Bootstrap 5.3 still uses @import inside; its own warnings are not ours to mend.
    quietDeps: true,
    silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
  },
}

/**
 * Writes the types of the messages beside them: which there are, and which values each takes. In the build messages are compiled, so that no
 * page carries a parser.
 */
const withMessages = createNextIntlPlugin({
  requestConfig: './src/app/pageLanguage.ts',
  experimental: {
    createMessagesDeclaration: readdirSync('messages/en')
      .filter((name) => name.endsWith('.json'))
      .map((name) => `./messages/en/${name}`),
    messages: { path: './messages/en', format: 'json', locales: 'infer', precompile: true },
  },
})

export default withMessages(config)
