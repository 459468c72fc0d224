import { readFileSync, writeFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { openToOthers } from '../../tests/fixtures/anothers'
import { plan } from '../../tests/fixtures/plan'
import { type Role, roles } from '../ground/envelope'
import { emptyEdition } from '../edition/state'
import { actOf, acts, type CommandType, shapeOf } from './acts'
import { decide, singleStreams, streamKinds } from './streams'
import { type Share, shareOf } from './who-sees'

const file = new URL('../../docs/security.md', import.meta.url)
const [begin, end] = [/<!-- tables: .*? -->\n/, '<!-- end of tables -->']

const row = (cells: readonly string[]) => `| ${cells.join(' | ')} |`
const table = (heads: readonly string[], rows: readonly string[][]) =>
  [row(heads), row(heads.map(() => '---')), ...rows.map(row)].join('\n')

const shareWords = (share: Share) =>
  typeof share === 'string' ? share : `without ${Object.keys(share.state).join(', ')}`

function whoSeesWhat(): string {
  const streams = [...streamKinds.map((kind) => (singleStreams.includes(kind) ? kind : `${kind}:x`)), 'account:room']
  const cells = (stream: string) =>
    roles.flatMap((role) => [true, false].map((own) => shareWords(shareOf({ personId: 'p', role }, stream, () => own))))
  const heads = ['stream', ...roles.flatMap((role) => [`${role}, own`, `${role}, another's`])]
  return table(
    heads,
    streams.map((stream) => [stream.replace(':x', ''), ...cells(stream)]),
  )
}

/** Whose the edition is, for whoever asks as p1. */
const owners = {
  printer: { artistId: null, printerIds: ['p0', 'p1'] },
  artist: { artistId: 'p1', printerIds: ['p0'] },
  another: { artistId: 'p2', printerIds: ['p0'] },
}

/** Every edition that a sample names, owned by them. */
function editionsOf(owner: keyof typeof owners) {
  const names = ['edition:1', 'edition:e', 'edition:e1']
  return new Map(names.map((name) => [name, { ...emptyEdition(name), plan, ...owners[owner] }]))
}

/** Whether the act is let in; what its rule then says of the sample is no matter, nor that it may fall over half of it. */
function isLetIn(type: CommandType, role: Role, owner: keyof typeof owners): boolean {
  const { kind } = actOf.get(type)!.stream
  const stream = singleStreams.includes(kind) ? kind : `${kind}:1`
  const states = editionsOf(owner)
  if (actOf.get(type)!.begins) states.delete(stream)
  const context = { personId: 'p1', role, commandId: 'c1', occurredAt: '2026-11-02T09:30:00.000Z', zone: 'UTC' }
  try {
    const made = decide(states, { type, stream, data: shapeOf(type).sample, expectedSeq: 0 }, context)
    return !('refusal' in made && made.refusal.code === 'not-allowed')
  } catch {
    return true
  }
}

/** The roles that may, in words; “named” where only those named on the edition may, as its artist or its printer. */
function whoMay(type: CommandType): string[] {
  const word = (role: Role) => {
    if (isLetIn(type, role, 'another')) return 'yes'
    const named = (['printer', 'artist'] as const).filter((owner) => isLetIn(type, role, owner))
    return named.length === 1 ? named[0]! : named.length === 2 ? 'named' : ''
  }
  return [type, ...roles.map(word)]
}

function tables(): string {
  return [
    '## Who sees what',
    '',
    '_whole_: as stored. _without_: some events lose what they say. _bare_: that it changed, not what. _nothing_: not even that.',
    '',
    whoSeesWhat(),
    '',
    '## Who may do what',
    '',
    'Beside this each act has its rule. _named_: those named on the edition.',
    '',
    table(
      ['act', ...roles],
      acts.map(({ type }) => whoMay(type)).sort((a, b) => a[0]!.localeCompare(b[0]!)),
    ),
    '',
    "## What is another's and open to all",
    '',
    table(
      ['act', 'why'],
      Object.entries(openToOthers).map(([type, why]) => [type, why]),
    ),
    '',
    '',
  ].join('\n')
}

it('the page on security holds the tables that the code goes by', () => {
  const page = readFileSync(file, 'utf8')
  const from = begin.exec(page)!
  const start = from.index + from[0].length
  const now = `${page.slice(0, start)}\n${tables()}${page.slice(page.indexOf(end))}`
  if (process.env.UPDATE_DOCS === '1') writeFileSync(file, now)
  // Laid out by Prettier: compared by its words.
  const words = (text: string) => text.replace(/[\s|-]+/g, ' ')
  expect(words(readFileSync(file, 'utf8'))).toBe(words(now))
})
