import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

/** Every `call // value` beneath an `@example` in core, by its file. */
const examples = readdirSync('core', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
  .flatMap((file) =>
    [...readFileSync(`core/${file}`, 'utf8').matchAll(/@example\n \* (.+?) \/\/ (.+)\n/g)].map(
      ([, call, value]) => [file, call!, value!] as const,
    ),
  )

const worked = (expression: string, names: object): unknown =>
  (new Function(...Object.keys(names), `return ${expression}`) as (...given: unknown[]) => unknown)(
    ...(Object.values(names) as unknown[]),
  )

/** Sums of fractions differ in their last places. */
const rounded = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value), (_key, part: unknown) =>
    typeof part === 'number' ? Number(part.toPrecision(12)) : part,
  )

describe('what a docstring shows', () => {
  it.each(examples)('%s: %s', async (file, call, value) => {
    const exported = (await import(new URL(`../${file}`, import.meta.url).pathname)) as object
    expect(rounded(worked(call, exported))).toEqual(rounded(worked(value, {})))
  })

  it('is there for twenty of them', () => {
    expect(examples.length).toBeGreaterThanOrEqual(20)
  })
})

describe('the act that docs/ledger.md shows', () => {
  const page = readFileSync('docs/ledger.md', 'utf8')
  const files = ['core/stores/lot/acts/count-lot.ts', 'app/components/paper/CountLot.vue']

  it.each(files)('is %s as it is', (file) => {
    expect(page).toContain(`\`\`\`${file.split('.').at(-1)}\n${readFileSync(file, 'utf8')}\`\`\``)
  })

  it('takes less than sixty lines with its form', () => {
    const lines = files.map((file) => readFileSync(file, 'utf8').trimEnd().split('\n').length)
    expect(lines[0]! + lines[1]!).toBeLessThan(60)
  })
})
