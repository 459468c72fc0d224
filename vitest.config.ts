import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** What keeps a browser's or a server's state in its modules: each file has its own. */
const ownModules = ['app/{stores,live,outbox,composables}/**/*.test.ts', 'tests/api/**/*.test.ts']

/** Tests of what is told by the day or the hour. */
export const daily = [
  'core/time/**',
  'core/{calendar,charges,course,schedule}/**',
  'core/edition/signing*',
  'server/services/{charges,backup-nights}*',
  'app/format/**',
  'app/drawings/{d,s,racks,calendar}*',
].map((path) => `${path.replace('**', '**/*')}.test.ts`)

/** How every test file is read: where our folders are, and which decorators are meant. */
export const reading = {
  resolve: { alias: { '#core': at('./core'), '#shared': at('./shared'), '~': at('./app') } },
  esbuild: { tsconfigRaw: { compilerOptions: { experimentalDecorators: true } } },
}

export default defineConfig({
  ...reading,
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
      // Behind Greenwich, beside the zone ahead of it that the run itself is in; further ones are tried before a release.
      {
        extends: true,
        test: { name: 'America/New_York', include: daily, isolate: false, env: { TZ: 'America/New_York' } },
      },
    ],
  },
})
