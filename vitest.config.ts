import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'
import { keepInMemory } from './scripts/lib/quickFolder.mjs'

keepInMemory()

const everywhere = {
  setupFiles: ['scripts/lib/propertySeed.ts'],
  testTimeout: 60_000,
  hookTimeout: 60_000,
}

export default defineConfig({
  resolve: {
    alias: {
      '@': fileURLToPath(new URL('./src', import.meta.url)),
      'server-only': fileURLToPath(new URL('./scripts/lib/serverOnly.ts', import.meta.url)),
    },
  },
  test: {
    maxWorkers: availableParallelism(),
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          include: ['src/core/**/*.test.ts', 'src/contracts/**/*.test.ts'],
          // Nothing there has a state: files share what was loaded, and the plans that several of them look at.
          isolate: false,
          ...everywhere,
        },
      },
      {
        extends: true,
        test: {
          name: 'program',
          include: ['src/**/*.test.{ts,tsx}', 'scripts/**/*.test.ts'],
          exclude: ['src/core/**', 'src/contracts/**'],
          globalSetup: ['scripts/lib/snapshots.ts'],
          ...everywhere,
        },
      },
    ],
  },
})
