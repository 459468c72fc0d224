import { beforeEach, describe, expect, it } from 'vitest'
import { browserGlobals, type SpokenServer } from '../../tests/fixtures/browser-globals'
import type { CommandRequest } from '#shared/commands/envelope'
import { batch } from '#core/stores/batch/stream'
import { useSession } from './session'

let server: SpokenServer
const ids = () => server.asked.map(({ body }) => (body as CommandRequest).commandId)
const stored = { status: 200, body: { position: 1, stream: 'batch:b1', seq: 1, made: 1, disputed: null, events: [] } }
const draw = (session: ReturnType<typeof useSession>) =>
  session.give('draw-ink', batch.of('b1'), { milligrams: 20_000, editionStream: '', layerId: null, note: '' })

beforeEach(() => {
  server = browserGlobals()
})

describe('an id belongs to one pressing of one button', () => {
  it('the same act given twice is two acts, also while the first is under way', async () => {
    const session = useSession()
    server.answer = () => stored
    await Promise.all([draw(session), draw(session)])
    await draw(session)
    expect(new Set(ids()).size).toBe(3)
  })

  it('pressed again after the answer was lost, it is the same', async () => {
    const session = useSession()
    await expect(draw(session)).rejects.toThrow('cannot be reached')
    server.answer = () => ({ status: 503, body: { code: 'later', message: 'Later.' } })
    await expect(draw(session)).rejects.toThrow('Later')
    server.answer = () => stored
    await draw(session)
    await draw(session)
    const [first, second, third, fourth] = ids()
    expect([second, third]).toEqual([first, first])
    expect(fourth).not.toBe(first)
  })

  it('refused it is over, and so it is once it was seen in the ledger', async () => {
    const session = useSession()
    server.answer = () => ({ status: 422, body: { code: 'not-enough', message: 'Not enough.' } })
    await expect(draw(session)).rejects.toThrow('Not enough')
    server.answer = () => 'unreachable'
    await expect(draw(session)).rejects.toThrow('cannot be reached')
    session.seenStored(ids()[1]!)
    await expect(draw(session)).rejects.toThrow('cannot be reached')
    expect(new Set(ids()).size).toBe(3)
  })
})
