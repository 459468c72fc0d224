import { type CommandData, type EditionCommandType } from '#core/house/acts'
import type { BlockDescription, BlockKind } from '#core/block/block'
import type { LotDescription } from '#core/stores/lot/state'
import type { Role } from '#core/ground/envelope'
import { evenMargins, oneImage, type PiecePlan, pieceSize, usualFoot } from '#core/paper/piece'
import { noEdges, usualStrip } from '#core/paper/tear-request'
import type { Grade } from '#core/press/dial-in'
import { settingFor } from '#core/press/screws'
import { type PressSetting, stackHeight } from '#core/press/stack'
import type { PressDescription } from '#core/stores/press/state'
import type { AdjustmentKind } from '#core/print/verdicts'

const adjustments: Record<string, AdjustmentKind> = {
  '+': 'ink-more',
  '-': 'ink-less',
  p: 'pressure-more',
  k: 'packing',
}

/** What the demo needs of a running pressroom: people, and the same commands as anyone gives. */
export interface Desk {
  /** The start of "now", milliseconds; everything is dated back from it. */
  now: number
  person: (name: string, role: Role, secret: string) => Promise<string>
  /** @returns the stream's `seq` after it and the command's id */
  give: (
    by: string,
    stream: string,
    type: string,
    data: object,
    at: number,
    expectedSeq?: number,
  ) => Promise<{ seq: number; id: string }>
  newId: (at: number) => string
  /** Keep a picture, given as SVG. @returns its id */
  picture: (svg: string) => Promise<string>
}

/** A press of the demo, with the height of what lay on its bed at zero, mm. */
export type DemoPress = PressDescription & { id: string; zero: number }

/** A lot of the demo's store, by its id. */
export type DemoLot = LotDescription & { id: string }

/** One edition being made at the demo's desk, a minute at a time. */
export class EditionInHand {
  readonly stream: string
  readonly layers: string[] = []
  private seq = 0
  private setupSeq = new Map<string, number>()
  private batches = new Map<string, string>()
  private piece: PiecePlan | null = null
  /** The picture its next standard is kept with. */
  proofPicture: string | null = null

  constructor(
    readonly desk: Desk,
    readonly by: string,
    public at: number,
    stream = '',
  ) {
    this.stream = stream || `edition:${desk.newId(at)}`
  }

  /** An edition that was begun already, with its layers. */
  static begun(desk: Desk, by: string, at: number, editionId: string, layers: readonly string[]): EditionInHand {
    const edition = new EditionInHand(desk, by, at, `edition:${editionId}`)
    edition.layers.push(...layers)
    return edition
  }

  /** Let time pass. */
  wait(minutes: number): this {
    this.at += minutes * 60_000
    return this
  }

  async give<T extends EditionCommandType>(type: T, data: CommandData<T>, by = this.by): Promise<string> {
    const { seq, id } = await this.desk.give(by, this.stream, type, data, this.at, this.seq)
    this.seq = seq
    return id
  }

  async start(data: CommandData<'start-edition'>, layerName: string): Promise<this> {
    const id = await this.give('start-edition', data)
    this.layers.push(`${id}-1`)
    return await this.name(0, layerName)
  }

  async name(layer: number, name: string): Promise<this> {
    await this.give('change-layer', {
      layerId: this.layers[layer]!,
      name,
      blocks: [],
      routine: 'charge, pass, charge, pass',
      stackOrder: 'pulled',
    })
    return this
  }

  async addLayer(name: string, routine = 'charge, pass, charge, pass'): Promise<this> {
    const id = await this.give('add-layer', { name, blocks: [] })
    this.layers.push(id)
    await this.give('change-layer', { layerId: id, name, blocks: [], routine, stackOrder: 'reversed' })
    return this
  }

  async ink(layer: number, batchId: string): Promise<this> {
    this.batches.set(this.layers[layer]!, batchId)
    await this.give('set-zones', {
      layerId: this.layers[layer]!,
      zones: [{ id: 'whole', name: 'whole block', batchId }],
    })
    return this
  }

  /** Set the press for a layer: its screws where the stack asks for them, the right one half a division wider. */
  async press(
    layer: number,
    press: DemoPress,
    stack: Pick<PressSetting, 'packing' | 'block' | 'sheet'>,
    nip: number | null = press.pitch === null ? null : 0.3,
  ): Promise<this> {
    const layerId = this.layers[layer]!
    const whole = stackHeight(stack)
    const place =
      press.pitch !== null && whole !== null && nip !== null
        ? settingFor(whole - press.zero, nip, { ...press, pitch: press.pitch })
        : null
    const { turns, divisions } = place && 'turns' in place ? place : { turns: 0, divisions: 0 }
    await this.give('set-press', {
      layerId,
      pressId: press.id,
      ...stack,
      nip,
      left: { turns, divisions },
      right: { turns, divisions: place ? divisions + 0.5 : 0 },
      note: '',
    })
    this.setupSeq.set(layerId, this.seq)
    return this
  }

  /** Plan the sheet: an image with even margins and a heavier foot, torn from a lot. */
  async sheet(
    lot: DemoLot,
    image: { width: number; height: number },
    margin: number,
    more: Partial<PiecePlan> = {},
  ): Promise<this> {
    this.piece = {
      lotId: lot.id,
      sheet: { width: lot.width, height: lot.height, deckles: lot.deckles, allowance: 0, grain: lot.grain },
      image,
      images: oneImage,
      margins: evenMargins(margin, usualFoot),
      foot: usualFoot,
      trim: 0,
      grain: 'free',
      deckles: noEdges,
      strip: usualStrip,
      ...more,
    }
    await this.give('plan-piece', { piece: this.piece })
    return this
  }

  /** Describe a block a little larger than the image. @returns its id */
  async block(name: string, kind: BlockKind, thickness: number, more: Partial<BlockDescription> = {}): Promise<string> {
    const { width, height } = this.piece!.image
    const blockId = this.desk.newId(this.at)
    await this.give('prepare-block', {
      blockId,
      block: {
        name,
        kind,
        width: width + 10,
        height: height + 10,
        thickness,
        image: { left: 5, top: 5, width, height },
        rotation: 0,
        removed: '',
        transfer: 'carbon copy',
        note: '',
        ...more,
      },
    })
    return blockId
  }

  async tear(lot: DemoLot, lotSheets: number, count: number, more: Partial<CommandData<'tear'>> = {}): Promise<this> {
    const size = this.piece ? pieceSize(this.piece) : { width: 0, height: 0 }
    const right = { lotId: lot.id, lotSheets, count, images: 1, wrong: 0, reason: '', rationId: null, offcuts: [] }
    await this.give('tear', { ...right, ...size, ...more })
    return this
  }

  /** Lay wet sheets into the next free slots of a rack. */
  async rack(rackId: string, layer: number, sheetIds: number[]): Promise<this> {
    await this.give('lay-in', { rackId, layerId: this.layers[layer]!, sheetIds, from: null })
    return this
  }

  async pull(layer: number, sheetId: number | null, more: Partial<CommandData<'pull'>> = {}): Promise<string> {
    const layerId = this.layers[layer]!
    const batch = this.batches.get(layerId)
    return await this.give('pull', {
      layerId,
      kind: 'pull',
      proofKind: null,
      verdict: 'good',
      sheetIds: sheetId === null ? [] : [sheetId],
      faults: [],
      rescued: null,
      wetOnWet: false,
      setupSeq: this.setupSeq.get(layerId) ?? 0,
      batchIds: batch ? [batch] : [],
      ...more,
    })
  }

  /** Hold a proof to the light: how the impression and the ink came out. */
  async judge(
    pullId: string,
    pressure: Grade | null,
    ink: Grade | null,
    more: Partial<CommandData<'judge-proof'>> = {},
  ): Promise<void> {
    await this.give('judge-proof', {
      pullId,
      pressure,
      ink,
      charges: 2,
      passes: 2,
      newsprint: true,
      pictureId: null,
      note: '',
      ...more,
    })
  }

  /**
   * Warm up and prove a layer on newsprint, and a later layer at last on a sheet of the stack; the last proof is the
   * standard of its layer.
   */
  async prove(
    layer: number,
    warmUps: number,
    proofs: number,
    minutes = 4,
    sheetId: number | null = null,
  ): Promise<this> {
    for (let i = 0; i < warmUps; i++) await this.wait(minutes).pull(layer, null, { kind: 'warm-up' })
    let last = ''
    for (let i = 0; i < proofs; i++)
      last = await this.wait(minutes + 2).pull(layer, null, { kind: 'proof', proofKind: 'WP' })
    const pictureId = this.proofPicture
    if (last) await this.judge(last, 0, 0, { pictureId })
    if (sheetId !== null) {
      last = await this.wait(minutes + 2).pull(layer, sheetId, { kind: 'proof', proofKind: 'WP', wetOnWet: true })
      await this.judge(last, 0, 0, { newsprint: false, pictureId })
    }
    const layerId = this.layers[layer]!
    if (last && (layer === 0 || sheetId !== null))
      await this.give('approve-proof', { pullId: last, layerId, reason: '' })
    return this
  }

  /**
   * Pull sheet after sheet, good but for what `events` says of the first, second … of them: `d salt` doubtful and
   * `r slur` reject with a fault, with its place after it as `30,40` mm, `b` burnished after the press; `+` or `-` an ink pass more or fewer before it, `p`
   * more pressure, `k` a change of packing.
   */
  async run(layer: number, sheets: readonly number[], events: Record<number, string>, minutes: number): Promise<this> {
    const layerId = this.layers[layer]!
    for (const [i, sheetId] of sheets.entries()) {
      const [sign = '', fault, place] = (events[i + 1] ?? '').split(' ')
      const adjustment = adjustments[sign]
      if (adjustment) await this.give('adjust', { layerId, kind: adjustment, note: '' })
      // A printer's pace wavers; this waver is the same on every start.
      this.wait(minutes * (0.8 + 0.1 * (i % 5)))
      const pullId = await this.pull(layer, sheetId, {
        verdict: sign === 'd' ? 'doubtful' : sign === 'r' ? 'reject' : 'good',
        faults: fault ? [fault] : [],
        rescued: sign === 'b' ? 'burnished' : null,
      })
      const [x, y] = (place ?? '').split(',').map(Number)
      if (fault && x && y) await this.give('place-fault', { pullId, fault, x, y })
    }
    return this
  }

  async dry(layer: number, sheetIds: number[]): Promise<this> {
    await this.give('declare-dry', { layerId: this.layers[layer]!, sheetIds })
    return this
  }
}

/** Whole numbers from one to another, both included. */
export function upTo(from: number, to: number): number[] {
  return Array.from({ length: to - from + 1 }, (_, i) => from + i)
}
