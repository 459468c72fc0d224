import { defineConfig } from 'vitest/config'
import { daily, reading } from './vitest.config'

/** What is looked for before a release and not at every change: it takes minutes, and seldom finds anything. */
export default defineConfig({
  ...reading,
  test: {
    testTimeout: 300_000,
    projects: [
      { extends: true, test: { name: 'release', include: ['tests/release/**/*.test.ts'] } },
      ...['Asia/Kolkata', 'UTC'].map((zone) => ({
        extends: true as const,
        test: { name: zone, include: daily, isolate: false, env: { TZ: zone } },
      })),
    ],
  },
})
