import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import type { RandomRoom } from '../../tests/fixtures/random-room'
import { play } from '../../tests/fixtures/random-run'
import { layersOn } from '../edition/layers-on'
import { isLive } from '../edition/pull'
import { emptyEdition } from '../edition/state'
import { fold } from './streams'

/** What lies on every sheet, in whatever order it came there. */
const lying = ({ edition }: RandomRoom) =>
  edition.sheets.map((sheet) => [sheet.id, [...sheet.pulls].sort(), layersOn(edition, sheet).sort()])

describe('whatever was done', () => {
  it('a pull that is voided and comes back lies where it lay, to be dried and curated anew', () => {
    let redone = 0
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 5, max: 60 }), fc.nat(), (seed, length, pick) => {
        const { room } = play(seed, length, 'edition')
        const live = room.edition.pulls.filter((pull) => isLive(pull) && pull.kind === 'pull')
        const pull = live[pick % Math.max(1, live.length)]
        const before = lying(room)
        const done = (type: 'void-pull' | 'restore-pull') =>
          room.give(type, 'edition:e1', { pullId: pull?.pullId, reason: '' }, 'manager').refused
        if (!pull || done('void-pull') !== null) return
        expect(done('restore-pull')).toBeNull()
        expect(lying(room)).toEqual(before)
        for (const sheet of room.edition.sheets.filter(({ pulls }) => pulls.includes(pull.pullId)))
          expect([sheet.dry.includes(pull.layerId), sheet.curated]).toEqual([false, null])
        redone += 1
      }),
      { numRuns: 150 },
    )
    // Else the property would hold of nothing.
    expect(redone).toBeGreaterThan(30)
  })

  it('an unknown event changes nothing but the sequence', () => {
    const table = new PressTable().tear(8).number(2)
    const odd = { ...table.events[0]!, type: 'from-the-future', seq: table.edition.seq + 1 }
    const after = fold(emptyEdition(table.stream), [...table.events.filter((e) => e.stream === table.stream), odd])
    expect({ ...after, changedAt: '' }).toEqual({ ...table.edition, seq: odd.seq, changedAt: '' })
  })
})
