import { describe, expect, it } from 'vitest'
import { shallowRef } from 'vue'
import { PressTable } from '../../tests/fixtures/press-table'
import type { EditionState } from '#core/edition/state'
import { emptyStudio } from '#core/stores/studio/state'
import type { CommandRequest } from '#shared/commands/envelope'
import { usePendingTaps } from './pending-taps'

/** A page with an edition of six sheets, and the server’s own table beside it. */
function page() {
  const table = new PressTable().tear(6)
  const stored = shallowRef<EditionState | null>(table.edition)
  const taps = usePendingTaps(stored, shallowRef(emptyStudio()), ({ by, commandId, occurredAt }) => ({
    personId: by,
    role: 'manager',
    commandId,
    occurredAt,
    zone: 'UTC',
  }))
  const pull = (sheet: number): CommandRequest => ({
    commandId: `tap-${sheet}`,
    device: 'd',
    by: 'p1',
    occurredAt: '2026-11-02T10:00:00.000Z',
    type: 'pull',
    stream: table.stream,
    data: table.pullData(sheet),
  })
  return {
    table,
    taps,
    pull,
    give: (sheet: number) => {
      const command = pull(sheet)
      taps.claim(command.commandId)
      taps.add(command)
      return command
    },
    /** The server stores it. @returns how far the edition is then */
    store: ({ type, data, commandId }: CommandRequest) => {
      table.submit({ type, stream: table.stream, data, expectedSeq: table.edition.seq }, 'manager', commandId)
      return table.edition.seq
    },
    see: (state = table.edition) => {
      stored.value = state
      taps.settle()
    },
    strokes: () => taps.state.value!.pulls.map(({ pullId }) => pullId),
  }
}

/** Every order of a few things. */
const orders = <Thing>(things: readonly Thing[]): Thing[][] =>
  things.length < 2
    ? [[...things]]
    : things.flatMap((first, i) =>
        orders([...things.slice(0, i), ...things.slice(i + 1)]).map((rest) => [first, ...rest]),
      )

describe('a tap on top of what is stored', () => {
  it('is one stroke at every moment, whichever of answer, stream and reading comes first', () => {
    const ways = ['answer', 'stream', 'older reading', 'newer reading'] as const
    for (const order of orders(ways)) {
      const { taps, give, store, see, strokes, table } = page()
      const older = table.edition
      const command = give(1)
      const seq = store(command)
      for (const way of order) {
        if (way === 'answer' || way === 'stream') taps.storedAt(command.commandId, seq)
        if (way === 'stream' || way === 'newer reading') see()
        // A reading never takes the place of a newer one: see FoldedStreams.
        if (way === 'older reading' && taps.pending.value.length > 0) see(older)
        expect([order, strokes()]).toEqual([order, ['tap-1']])
      }
      expect([taps.pending.value, taps.unsent.value]).toEqual([[], 0])
    }
  })

  it('counts as stored from the answer on, though the edition is not so far yet', () => {
    const { taps, give, store } = page()
    const command = give(1)
    expect([taps.unsent.value, taps.isStored.value('tap-1')]).toEqual([1, false])
    taps.storedAt(command.commandId, store(command))
    expect([taps.unsent.value, taps.isStored.value('tap-1'), taps.pending.value.length]).toEqual([0, true, 1])
  })

  it('of another tab or an earlier page is taken up once', () => {
    const { taps, give, pull, strokes } = page()
    give(1)
    for (let look = 0; look < 3; look++) taps.takeUp([pull(1), pull(2)])
    expect(strokes()).toEqual(['tap-1', 'tap-2'])
  })

  it('that an earlier page left, and the stored edition holds, is not shown a second time', () => {
    const { taps, pull, store, see, strokes } = page()
    store(pull(1))
    see()
    taps.takeUp([pull(1)])
    expect([strokes(), taps.pending.value]).toEqual([['tap-1'], []])
  })

  it('that was heard of as stored before this page looked is not taken up', () => {
    const { taps, pull, store, strokes } = page()
    taps.storedAt('tap-1', store(pull(1)))
    taps.takeUp([pull(1)])
    expect(strokes()).toEqual([])
  })

  it('goes when it was refused, and leaves the others', () => {
    const { taps, give, strokes } = page()
    give(1)
    give(2)
    taps.drop('tap-1')
    expect(strokes()).toEqual(['tap-2'])
  })

  it('of another edition is nothing to this one', () => {
    const { taps, give, strokes } = page()
    give(1)
    taps.clear()
    expect([strokes(), taps.pending.value, taps.unsent.value]).toEqual([[], [], 0])
  })
})
