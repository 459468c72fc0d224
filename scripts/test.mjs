import { execFile } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBrowser, ensureBuild, ensurePackages, freshFolder, root, run } from './ready.mjs'

ensurePackages()
ensureBrowser()
ensureBuild()

/** What tests leave lying is theirs alone, and goes when they are done. */
process.env.TMPDIR = mkdtempSync(join(tmpdir(), 'ample-tally-tests-'))
process.on('exit', () => rmSync(process.env.TMPDIR, { recursive: true, force: true }))

const reports = freshFolder(join(root, '.cache/reports'))
let passed = 0
let failed = 0

/** A check that either holds or does not; what it says is told when it is done. */
async function check(name, command, args) {
  const ok = await new Promise((done) => {
    execFile(command, args, { cwd: root, maxBuffer: 1e8 }, (error, said, complained) => {
      console.info(`\n${name}\n${said}${complained}`)
      done(!error)
    })
  })
  passed += ok ? 1 : 0
  failed += ok ? 0 : 1
}

/** A runner with a report of its own; one that ends badly without a failed test counts as a failure. */
function runner(name, args, env, read) {
  console.info(`\n${name}`)
  const status = run('npx', args, env)
  let counts = { passed: 0, failed: 0 }
  try {
    counts = read()
  } catch (error) {
    console.error(`${name} left no report: ${error.message}`)
  }
  passed += counts.passed
  failed += counts.failed + (status !== 0 && counts.failed === 0 ? 1 : 0)
}

const report = (name) => JSON.parse(readFileSync(join(reports, name), 'utf8'))

// Each keeps one core busy.
await Promise.all([
  check('Lint', 'npm', ['run', '--silent', 'lint']),
  check('Types', 'npx', ['vue-tsc', '-b', '--noEmit']),
  check('Shapes of events', 'node', ['scripts/event-shapes.mjs', '--check']),
])
runner(
  'Unit and API tests',
  ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${join(reports, 'vitest.json')}`],
  // As far from Greenwich as a pressroom stands: a day cut out of a text is the wrong one half of the time.
  { TZ: 'Pacific/Auckland' },
  () => {
    const { numPassedTests, numFailedTests } = report('vitest.json')
    return { passed: numPassedTests, failed: numFailedTests }
  },
)
runner(
  'Browser tests',
  ['playwright', 'test'],
  { PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'playwright.json') },
  () => {
    const { stats } = report('playwright.json')
    return { passed: stats.expected + stats.flaky, failed: stats.unexpected }
  },
)

console.info(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
