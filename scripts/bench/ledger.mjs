import { load } from '../load.mjs'
import { v7 } from 'uuid'
import { plan, torn } from './requests.mjs'

/**
 * Append valid events in bulk: so many editions of so many sheets and layers each, through the same `decide`, `evolve` and hash
 * chain as real use, and rebuild the summaries from them.
 * @param pulled sheets pulled of each layer
 * @param wanted what the plan says otherwise
 * @param onward what is done with each edition once it is pulled, by `give` and how it stands then
 * @param before what is done with each edition before anything is pulled
 * @returns ids of the editions
 */
export async function fillLedger(
  folder,
  editions,
  sheets,
  layers,
  progress = () => {},
  pulled = sheets,
  wanted = {},
  onward = () => {},
  before = () => {},
) {
  const { openConnections } = await load('server/database/connections.ts')
  const { migrate } = await load('server/database/migrations.ts')
  const { chainStart, eventHash, lastPosition, toRow } = await load('server/database/events.ts')
  const { chainHead } = await load('server/database/heads.ts')
  const { rebuildSummaries } = await load('server/database/summaries.ts')
  const { decide, evolve, emptyState, statesFor } = await load('core/house/streams.ts')
  const db = await openConnections(folder)
  await migrate(db.writer)
  let position = await lastPosition(db.reader)
  const ids = []
  const lot = { stream: 'lot:bench', name: 'laid', left: 1e9, price: 1, seq: 0, rations: [] }
  const press = { ...emptyState('press:bench'), name: 'long press', kind: 'roller bed' }
  const others = (name) => (name.startsWith('lot:') ? lot : name === press.stream ? press : emptyState(name))
  const tables = db.writer.getQueryInterface()
  for (let e = 0; e < editions; e++) {
    const id = v7()
    const stream = `edition:${id}`
    ids.push(id)
    let state = emptyState(stream)
    let hash = chainStart
    const rows = []
    const give = (type, data) => {
      const commandId = v7()
      const now = new Date(Date.UTC(2026, 0, 1) + e * 3600_000 + rows.length * 1000).toISOString()
      const command = { type, stream, data, expectedSeq: state.seq }
      const states = statesFor(command, (name) => (name === stream ? state : others(name)))
      const decision = decide(states, command, { personId: 'bench', role: 'manager', commandId, occurredAt: now })
      if (decision.refusal) throw new Error(decision.refusal.message)
      for (const proposed of decision.events.filter((event) => event.stream === stream)) {
        const bare = {
          ...proposed,
          position: ++position,
          seq: state.seq + 1,
          actor: 'bench',
          via: null,
          device: 'bench',
          commandId,
          occurredAt: now,
          recordedAt: now,
          claimedAt: null,
        }
        hash = eventHash(hash, bare)
        const event = { ...bare, hash }
        state = evolve(state, event)
        rows.push(toRow(event))
      }
    }
    give('start-edition', { title: `Edition ${e}`, plan: { ...plan, ...wanted } })
    for (let layer = 1; layer < layers; layer++) give('add-layer', { name: '', blocks: [] })
    give('tear', torn('bench', sheets))
    before(give, state)
    const lost = new Set()
    for (const { id: layerId } of state.layers) {
      for (let sheet = 1; sheet <= pulled; sheet++) {
        if (lost.has(sheet)) continue
        const verdict = sheet % 97 === 0 ? 'reject' : 'good'
        if (verdict === 'reject') lost.add(sheet)
        give('pull', {
          layerId,
          kind: 'pull',
          proofKind: null,
          verdict,
          sheetIds: [sheet],
          faults: [],
          rescued: null,
          wetOnWet: true,
          setupSeq: 0,
          batchIds: [],
        })
      }
    }
    onward(give, state)
    await db.writer.query('BEGIN IMMEDIATE')
    for (let i = 0; i < rows.length; i += 500) await tables.bulkInsert('events', rows.slice(i, i + 500))
    await db.writer.query('COMMIT')
    if (e % 100 === 99) progress(e + 1)
  }
  // A server opens no ledger whose head lags behind.
  await chainHead(db.writer)
  await rebuildSummaries(db.writer, db.long)
  await db.close()
  return ids
}
