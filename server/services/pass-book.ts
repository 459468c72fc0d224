import { LRUCache } from 'lru-cache'
import type { EditionState } from '#core/edition/state'
import { streamKind } from '#core/ground/envelope'
import type { StreamState } from '#core/house/streams'
import { type EditionPasses, gatherRecord, recordWithout, type ShopRecord } from '#core/plan/shop-record'
import { passesOf } from '#core/edition/passes'
import { type StudioState, studioDefaults } from '#core/stores/studio/state'
import { type SheetsToStart, sheetsToStart } from '#core/run/sheets-to-start'
import { chanceFor } from '#core/run/outlook'
import type { Chance } from '#core/plan/odds'
import type { EditionSummary } from '#shared/replies/replies'
import type { Connections } from '../database/connections'
import { plain } from '../database/tables'
import { inData, type StoredEditionSummary } from '../database/summaries'

/** What every edition adds to the shop's pass rates, kept in memory and moved on with each commit. */
export class PassBook {
  private readonly editions = new Map<string, EditionPasses>()
  private studio: StudioState | null = null
  private gathered: ShopRecord | null = null
  /** Chances by what they were reckoned from: a list asks for the same ones again and again. */
  private readonly chances = new LRUCache<string, Chance>({ max: 2000 })
  private readonly starts = new LRUCache<string, SheetsToStart>({ max: 2000 })

  async load(db: Connections, studio: StudioState): Promise<void> {
    this.studio = studio
    this.gathered = null
    const lines = await db.long.summaries.findAll({
      attributes: ['stream', [inData('passes'), 'passes']],
      where: { kind: 'edition' },
      raw: true,
    })
    for (const { stream, passes } of plain<{ stream: string; passes: string }>(lines))
      this.editions.set(stream, JSON.parse(passes) as EditionPasses)
  }

  /** States as a commit left them. */
  take(states: readonly StreamState[]): void {
    for (const state of states) {
      if (streamKind(state.stream) === 'edition') this.editions.set(state.stream, passesOf(state as EditionState))
      else if (state.stream === 'studio') this.studio = state as StudioState
      else continue
      this.gathered = null
    }
  }

  private get record(): ShopRecord {
    return (this.gathered ??= gatherRecord(this.editions.values(), this.studio?.pastEditions ?? []))
  }

  /** The shop's past for an edition: everything but its own pulls. */
  recordFor(stream: string): ShopRecord {
    const own = this.editions.get(stream)
    return own ? recordWithout(this.record, own) : this.record
  }

  /** An edition's line for the lists, with its chance by the shop's record of today. */
  withChance({
    stack,
    reckoning,
    passes: _,
    printedWith: __,
    personIds: ___,
    ...summary
  }: StoredEditionSummary): EditionSummary {
    const record = this.recordFor(`edition:${summary.id}`)
    const line = record.methods.find((known) => known.method === reckoning.method && known.work === reckoning.work)
    const key = JSON.stringify([
      stack,
      reckoning,
      line?.passes,
      stack.printer && line?.printers[stack.printer],
      record.finishing,
      record.proofs,
    ])
    let known = this.chances.get(key)
    if (!known) this.chances.set(key, (known = chanceFor(stack, reckoning, record)))
    const isOpen = summary.piece !== null && summary.state !== 'closed'
    const toStart = isOpen
      ? this.toStart(reckoning, stack.layers.filter(({ isPulled }) => isPulled).length, record)
      : null
    return { ...summary, chance: known.chance, chanceIsRough: known.isRough, toStart }
  }
  /** How many sheets an edition is to be started with, by the room's record and its usual confidence. */
  private toStart(
    reckoning: StoredEditionSummary['reckoning'],
    layers: number,
    record: ShopRecord,
  ): EditionSummary['toStart'] {
    const confidence = this.studio?.confidence ?? studioDefaults.confidence
    const line = record.methods.find((known) => known.method === reckoning.method && known.work === reckoning.work)
    const key = JSON.stringify(['start', reckoning, layers, line?.passes, record.finishing, record.proofs, confidence])
    let known = this.starts.get(key)
    if (!known) this.starts.set(key, (known = sheetsToStart(reckoning, layers, record, null, confidence)))
    return known.sheets === null ? null : { sheets: known.sheets, by: known.by }
  }
}
