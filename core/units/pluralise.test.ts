import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { agree, pluralise, pluralOf } from './pluralise'

const root = join(import.meta.dirname, '../..')

function* sourcesIn(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) yield* sourcesIn(path)
    else if (/\.(ts|vue)$/.test(entry.name) && !/\.test\.ts$/.test(entry.name)) yield path
  }
}
const sources = ['core', 'app', 'server', 'shared'].flatMap((folder) =>
  [...sourcesIn(join(root, folder))].map((path) => [path.slice(root.length + 1), readFileSync(path, 'utf8')] as const),
)

/** Every noun that is said with a number somewhere, where its plural is left to the rule. */
const nouns = new Set(
  sources.flatMap(([, text]) =>
    [...text.matchAll(/\b(?:pluralise|counted)\([^'"`]*?, '([^']+)'\)/g)].map(([, noun]) => noun!),
  ),
)

describe('a number and its noun agree', () => {
  it('for 0, 1 and 2 of every noun there is', () => {
    expect(nouns.size).toBeGreaterThan(15)
    for (const noun of nouns) {
      expect(pluralise(1, noun)).toBe(`1 ${noun}`)
      for (const number of [0, 2]) expect(pluralise(number, noun)).toBe(`${number} ${pluralOf(noun)}`)
      expect(pluralOf(noun), noun).not.toMatch(/sss$|yys$|[^aeiou]ys$|(?:ch|sh|x|ss)s$/)
    }
  })

  it('also where English is odd', () => {
    expect(['press', 'batch', 'box', 'copy', 'day', 'person', 'sheet of paper', 'reject'].map(pluralOf)).toEqual([
      'presses',
      'batches',
      'boxes',
      'copies',
      'days',
      'people',
      'sheets of paper',
      'rejects',
    ])
    expect([0, 1, 2].map((number) => agree(number, 'goes', 'go'))).toEqual(['go', 'goes', 'go'])
  })
})

/** The number is looked at there, or is one of so many. */
const isSaid = (line: string) => /=== 1|agree\(|> 1 \?|\bof \$?\{\{?[^}]*\}\}? (?:good |large )?\w+/.test(line)

it('no sentence writes a number before a plural by itself', () => {
  const bare =
    /\}\}?( of them (?:go|wait|are|lie)|(?: good| large)? (?:rejects|sheets|pulls|days|layers|prints|taps|pieces|people|blocks|inks|lines|students|turns|benches))\b/
  const found = sources.flatMap(([path, text]) =>
    text
      .split('\n')
      .flatMap((line, i) =>
        bare.test(line) && !isSaid(line) && !known.has(path) ? [`${path}:${i + 1} ${line.trim()}`] : [],
      ),
  )
  expect(found).toEqual([])
})

/** Where the number is never one: a bound of the program, or said of what was refused for being too many. */
const known: ReadonlySet<string> = new Set([
  'core/stores/rack/state.ts',
  'core/finish/plan.ts',
  'core/plan/odds.ts',
  'core/paper/tear-plan.ts',
  'core/ink/overprint.ts',
  'core/house/event-bounds.ts',
  'core/course/draw.ts',
  'core/course/acts/draw-prints.ts',
  'core/edition/slip.ts',
  'core/edition/block.ts',
  'core/edition/acts/add-layer.ts',
  'core/edition/acts/plan-overprint.ts',
  'core/edition/acts/tear.ts',
  'core/edition/plan-fault.ts',
  // A verb, and of what happened several times at least.
  'app/components/course/StartEditions.vue',
  'app/components/plan/PlanLayer.vue',
  'app/components/finder/StaysHere.vue',
])
