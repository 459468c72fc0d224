import { availableParallelism } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads'
import { build } from 'vite'
import { ensureBuild, ensurePackages, root, run } from './ready.mjs'

// What is looked for before a release. Random commands over every act, until so many sequences were played:
// `npm run rules -- 50000`; the first that breaks a rule is told command by command, with the seed that brings it back.
// Then the tests of `tests/release`, and the promises in components.

const bundle = join(root, '.cache/rules/random-run.mjs')

if (isMainThread) {
  ensurePackages()
  const wanted = Number(process.argv[2] ?? 50_000)
  await build({
    configFile: false,
    logLevel: 'error',
    resolve: { alias: { '#core': join(root, 'core'), '#shared': join(root, 'shared') } },
    esbuild: { tsconfigRaw: { compilerOptions: { experimentalDecorators: true } } },
    build: {
      outDir: join(root, '.cache/rules'),
      emptyOutDir: true,
      minify: false,
      lib: { entry: join(root, 'tests/fixtures/random-run.ts'), formats: ['es'], fileName: () => 'random-run.mjs' },
    },
  })
  const threads = availableParallelism()
  const began = Date.now()
  const sums = { sequences: 0, commands: 0, taken: 0, signed: 0 }
  let failed = 0
  await Promise.all(
    Array.from({ length: threads }, (_, first) => {
      const worker = new Worker(fileURLToPath(import.meta.url), { workerData: { first, threads, wanted, began } })
      worker.on('message', ({ broken, ...played }) => {
        for (const [key, count] of Object.entries(played)) sums[key] += count
        if (!broken) return
        failed += 1
        console.error(broken)
      })
      return new Promise((done, fail) => worker.on('exit', done).on('error', fail))
    }),
  )
  const { sequences, commands, taken, signed } = sums
  const seconds = ((Date.now() - began) / 1000).toFixed(0)
  console.info(
    `${sequences} sequences, ${commands} commands, ${taken} of them taken, ${signed} signatures, in ${seconds} s: ${failed} broke a rule.`,
  )
  ensureBuild()
  const checks = [
    run('npx', ['vitest', 'run', '--config', 'vitest.release.config.ts']),
    run('npx', ['eslint', 'app', '--max-warnings', '0'], { AMPLE_TALLY_RULES: '1' }),
  ]
  process.exit(failed === 0 && checks.every((status) => status === 0) ? 0 : 1)
}

const { play, told } = await import(bundle)
const { first, threads, wanted, began } = workerData
for (let i = first; i < wanted; i += threads) {
  // Other sequences at every start, and each can be played again from its seed.
  const seed = (began + i * 7919) | 0
  const length = 20 + (i % 100)
  const run = play(seed, length)
  const taken = run.steps.filter(({ refused }) => refused === null)
  parentPort.postMessage({
    sequences: 1,
    commands: run.steps.length,
    taken: taken.length,
    signed: taken.filter(({ type }) => type === 'sign').length,
    broken: run.broken.length > 0 ? `seed ${seed}, length ${length}\n${told(run)}\n` : '',
  })
}
