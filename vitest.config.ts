import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  resolve: { alias: { '#core': at('./core'), '#shared': at('./shared'), '~': at('./app') } },
  esbuild: { tsconfigRaw: { compilerOptions: { experimentalDecorators: true } } },
  test: {
    include: ['{core,shared,server,app,demo,scripts}/**/*.test.ts', 'tests/api/**/*.test.ts'],
    // Every core: left alone, a machine of two would use one.
    maxWorkers: '100%',
    testTimeout: 60_000,
    hookTimeout: 120_000,
  },
})
