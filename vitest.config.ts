import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** What keeps a browser's or a server's state in its modules: each file has its own. */
const ownModules = ['app/{stores,live,outbox,composables}/**/*.test.ts', 'tests/api/**/*.test.ts']

export default defineConfig({
  resolve: { alias: { '#core': at('./core'), '#shared': at('./shared'), '~': at('./app') } },
  esbuild: { tsconfigRaw: { compilerOptions: { experimentalDecorators: true } } },
  test: {
    // Every core: left alone, a machine of two would use one.
    maxWorkers: '100%',
    testTimeout: 60_000,
    hookTimeout: 120_000,
    projects: [
      { extends: true, test: { name: 'own modules', include: ownModules } },
      {
        extends: true,
        test: {
          name: 'shared modules',
          include: ['{core,shared,server,app,demo,scripts}/**/*.test.ts'],
          exclude: ownModules,
          // Loading the core anew for each file took as long as testing it.
          isolate: false,
        },
      },
    ],
  },
})
