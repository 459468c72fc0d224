import { join } from 'node:path'
import { ensureBrowser, ensureBuild, ensurePackages, freshFolder, root } from './ready.mjs'

ensurePackages()
ensureBrowser()
ensureBuild()

const { parts } = await import('./bench/parts.mjs')
const { measurePace } = await import('./bench/pace.mjs')

const given = process.argv.slice(2)
const isQuick = given.includes('--quick')
const wanted = given.filter((name) => name !== '--quick')
const unknown = wanted.find((name) => !parts.some((part) => part.name === name))
if (unknown) {
  console.error(`There is no part “${unknown}”. There are ${parts.map(({ name }) => name).join(', ')}.`)
  process.exit(2)
}
const chosen = parts.filter(({ name, isLong }) => (wanted.length > 0 ? wanted.includes(name) : !(isQuick && isLong)))

const lines = []
/** Told at once: a run takes long, and may be cut. */
function say(what, measured, wanted, met) {
  const line = { what, measured, wanted, met: met === null ? '' : met ? 'yes' : 'NO' }
  lines.push(line)
  console.info(Object.values(line).join(' | '))
}

// A part that waits for what never comes would end the run in silence.
const awake = setInterval(() => {}, 60_000)
for (const { name, run } of chosen) {
  console.info(`${name}, the machine’s pace: ${measurePace().toFixed(0)} ms for a fixed sum`)
  try {
    await run(say, freshFolder(join(root, '.cache/bench', name)))
  } catch (error) {
    console.error(error)
    say(name, error.message, 'to be measured', false)
  }
}
clearInterval(awake)
console.table(lines)
process.exit(lines.some(({ met }) => met === 'NO') ? 1 : 0)
