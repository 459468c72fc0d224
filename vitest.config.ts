import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** What keeps a browser's or a server's state in its modules: each file has its own. */
const ownModules = ['app/{stores,live,outbox,composables}/**/*.test.ts', 'tests/api/**/*.test.ts']

/** Tests of what is told by the day or the hour. */
const daily = [
  'core/time/**',
  'core/{calendar,charges,course,schedule}/**',
  'core/edition/signing*',
  'server/services/{charges,backups}*',
  'app/format/**',
  'app/drawings/{d,s,racks,calendar}*',
].map((path) => `${path.replace('**', '**/*')}.test.ts`)

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
      // Beside the zone that the run itself is in.
      ...['Asia/Kolkata', 'America/New_York', 'UTC'].map((zone) => ({
        extends: true as const,
        test: { name: zone, include: daily, isolate: false, env: { TZ: zone } },
      })),
    ],
  },
})
