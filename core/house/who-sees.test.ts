import { describe, expect, it } from 'vitest'
import { themes, type Theme } from '../../tests/fixtures/random-themes'
import { play } from '../../tests/fixtures/random-run'
import { actOf, eventOf } from './acts'
import { emptyState, fold, streamKinds } from './streams'
import { type LedgerEvent, type Role, roles, streamKind } from '../ground/envelope'
import { ownersOf, seenState, sentEvent, type Share, shareOf, type Viewer, whoSees } from './who-sees'

const streams = [
  ...streamKinds.map((kind) => (kind === 'studio' || kind === 'calendar' ? kind : `${kind}:x`)),
  'account:room',
]
const word = (share: Share) => (typeof share === 'string' ? share : `without ${Object.keys(share.state).join(', ')}`)
const line = (stream: string, role: Role) =>
  [true, false].map((own) => word(shareOf({ personId: 'p', role }, stream, () => own))).join(' | ')

describe('who sees what', () => {
  it('is said of every kind, role and ownership', () => {
    const table = streams.flatMap((stream) => {
      const lines = roles.map((role) => line(stream, role))
      return new Set(lines).size === 1 && lines[0] === 'whole | whole'
        ? []
        : roles.map((role, i) => `${stream}, ${role}: ${lines[i]}`)
    })
    expect(table).toMatchInlineSnapshot(`
      [
        "edition:x, manager: whole | whole",
        "edition:x, instructor: whole | whole",
        "edition:x, member: whole | without handedIn, comments, asks",
        "edition:x, student: whole | without handedIn, comments, asks",
        "course:x, manager: whole | whole",
        "course:x, instructor: whole | whole",
        "course:x, member: whole | nothing",
        "course:x, student: whole | nothing",
        "account:x, manager: whole | whole",
        "account:x, instructor: whole | whole",
        "account:x, member: whole | nothing",
        "account:x, student: whole | nothing",
        "account:room, manager: whole | whole",
        "account:room, instructor: whole | whole",
        "account:room, member: bare | bare",
        "account:room, student: bare | bare",
      ]
    `)
  })

  it('asks for nothing that is not there', () => {
    for (const [name, shares] of Object.entries(whoSees))
      for (const share of Object.values(shares) as Share[]) {
        if (typeof share === 'string') continue
        const empty = emptyState(`${streamKind(name)}:x`) as unknown as Record<string, unknown>
        for (const type of share.events) expect(eventOf.get(type)?.kind).toBe(streamKind(name))
        for (const [field, value] of Object.entries(share.state)) expect(empty[field]).toEqual(value)
      }
    expect(actOf.size).toBeGreaterThan(100)
  })

  it('what is folded from what somebody sees is what they see of what is folded', () => {
    let cut = 0
    for (const theme of Object.keys(themes) as Theme[])
      for (let seed = 1; seed <= 12; seed++) {
        const { room, steps } = play(seed, 60, theme)
        const all = [...room.begun, ...steps.flatMap((step) => step.events)]
        for (const stream of new Set(all.map((event) => event.stream)))
          cut += seenOtherwise(
            stream,
            all.filter((event) => event.stream === stream),
          )
      }
    expect(cut).toBeGreaterThan(0)
  })
})

/** Compares the two for everybody who sees a part of a stream. @returns in how many ways something was withheld */
function seenOtherwise(stream: string, events: readonly LedgerEvent[]): number {
  const state = fold(emptyState(stream), events)
  const owners = ownersOf(state)
  const isOwn = (_: string, id: string) => owners?.includes(id) ?? false
  const viewers: Viewer[] = roles.flatMap((role) =>
    [owners?.[0] ?? 'somebody', 'nobody'].map((personId) => ({ personId, role })),
  )
  let cut = 0
  for (const share of new Set(viewers.map((viewer) => shareOf(viewer, stream, isOwn)))) {
    const wanted = seenState(state, share)
    if (share === 'whole' || wanted === null) continue
    const seen = events.flatMap((event) => sentEvent(event, share) ?? [])
    expect(fold(emptyState(stream), seen)).toEqual(wanted)
    if (seen.some(({ type }) => type === 'withheld')) cut += 1
  }
  return cut
}
