import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'

const root = fileURLToPath(new URL('../..', import.meta.url))
const read = (path: string) => readFileSync(join(root, path), 'utf8')

const sources = ['core', 'shared', 'server', 'app', 'tests', 'demo', 'scripts'].flatMap((folder) =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(ts|vue|mjs)$/.test(name))
    .map((name) => join(folder, name)),
)

/** What follows the name of a document in comments, be it over the end of a line. */
const cited = (document: string, part: RegExp) =>
  sources.flatMap((path) =>
    [...read(path).matchAll(new RegExp(`${document},[\\s*]+(${part.source})`, 'g'))].map(([, found]) => ({
      path,
      part: found!,
    })),
  )

it('what the code cites of the arithmetic has a heading of that number', () => {
  const there = [...read('docs/models.md').matchAll(/^## (M\d+) /gm)].map(([, number]) => number!)
  expect(there).toEqual([...new Set(there)])
  const said = cited('models.md', /M\d+/)
  expect(said.length).toBeGreaterThan(40)
  expect(said.filter(({ part }) => !there.includes(part))).toEqual([])
})

it('what the code cites of the craft is a step or a part of its page', () => {
  const page = read('docs/craft.md')
  const there = [
    ...[...page.matchAll(/^(\d+)\. /gm)].map(([, step]) => `step ${step}`),
    ...[...page.matchAll(/^## (.+)$/gm)].map(([, head]) => head!),
  ]
  const said = cited('craft.md', /step \d+|[A-Z]\w+/)
  expect(said.length).toBeGreaterThan(5)
  expect(said.filter(({ part }) => !there.includes(part))).toEqual([])
})
