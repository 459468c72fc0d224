import type { Happening } from '../ledger/envelope'
import type { EditionEvents, EditionEventType, PullData } from './events'
import { type Block, type EditionState, type Layer, type Pull, type Sheet, pullOf } from './state'

type Evolver<T extends EditionEventType> = (
  state: EditionState,
  data: EditionEvents[T],
  event: Happening,
) => EditionState

/**
 * States and arrays made within the fold that is going on. Nobody outside has seen them, so they may change in place:
 * an edition of thousands of pulls folds in time linear in them.
 */
let own: WeakSet<object> | null = null

function mine<Value>(values: Value[]): Value[] {
  if (own?.has(values)) return values
  const copy = values.slice()
  own?.add(copy)
  return copy
}

/** The state with some of it changed. */
function put(state: EditionState, change: Partial<EditionState>): EditionState {
  if (own?.has(state)) return Object.assign(state, change)
  const next = { ...state, ...change }
  own?.add(next)
  return next
}

function replaceAt<Value>(values: Value[], index: number, value: Value): Value[] {
  if (index < 0 || index >= values.length) return values
  const next = mine(values)
  next[index] = value
  return next
}

function append<Value>(values: Value[], value: Value): Value[] {
  const next = mine(values)
  next.push(value)
  return next
}

function changeSheet(state: EditionState, sheetId: number, change: (sheet: Sheet) => Sheet): EditionState {
  const sheet = state.sheets[sheetId - 1]
  if (!sheet) return state
  return put(state, { sheets: replaceAt(state.sheets, sheetId - 1, change(sheet)) })
}

function changeLayer(state: EditionState, layerId: string, change: (layer: Layer) => Layer): EditionState {
  return { ...state, layers: state.layers.map((layer) => (layer.id === layerId ? change(layer) : layer)) }
}

function changeBlock(state: EditionState, blockId: string, change: (block: Block) => Block): EditionState {
  return { ...state, blocks: state.blocks.map((block) => (block.id === blockId ? change(block) : block)) }
}

function changePull(state: EditionState, pullId: string, change: (pull: Pull) => Pull): EditionState {
  const pull = pullOf(state, pullId)
  if (!pull) return state
  return put(state, { pulls: replaceAt(state.pulls, pull.ordinal - 1, change(pull)) })
}

function putOnSheets(state: EditionState, pull: Pick<PullData, 'pullId' | 'sheetIds'>): EditionState {
  return pull.sheetIds.reduce(
    (s, id) =>
      changeSheet(s, id, (sheet) =>
        sheet.pulls.includes(pull.pullId) ? sheet : { ...sheet, pulls: [...sheet.pulls, pull.pullId] },
      ),
    state,
  )
}

function takeOffSheets(state: EditionState, pull: Pick<PullData, 'pullId' | 'sheetIds'>): EditionState {
  return pull.sheetIds.reduce(
    (s, id) =>
      changeSheet(s, id, (sheet) => ({ ...sheet, pulls: sheet.pulls.filter((other) => other !== pull.pullId) })),
    state,
  )
}

function blankSheet(id: number, lotId: string, lotName: string, cutFrom: number | null): Sheet {
  return {
    id,
    lotId,
    lotName,
    pulls: [],
    dry: [],
    spoiled: null,
    curated: null,
    mark: null,
    signed: false,
    destroyed: null,
    parts: [],
    cutFrom,
  }
}

/** A part of a split sheet keeps what the whole sheet went through. */
function partOf(whole: Sheet, id: number): Sheet {
  return { ...whole, id, parts: [], cutFrom: whole.id }
}

function recordPull(state: EditionState, data: PullData, event: Happening, disputed: Pull['disputed']): EditionState {
  // Field by field: spreading was most of what reading a long edition cost.
  const pull: Pull = {
    pullId: data.pullId,
    layerId: data.layerId,
    kind: data.kind,
    proofKind: data.proofKind,
    verdict: data.verdict,
    sheetIds: data.sheetIds,
    faults: data.faults,
    rescued: data.rescued,
    wetOnWet: data.wetOnWet,
    setupSeq: data.setupSeq,
    batchIds: data.batchIds,
    ordinal: state.pulls.length + 1,
    seq: event.seq,
    at: event.occurredAt,
    by: event.actor,
    voided: false,
    disputed,
  }
  const next = put(state, { pulls: append(state.pulls, pull) })
  return disputed === null ? putOnSheets(next, data) : next
}

const evolvers: { [T in EditionEventType]: Evolver<T> } = {
  'edition-started': (state, data, event) => ({
    ...state,
    title: data.title,
    plan: data.plan,
    startedAt: event.occurredAt,
  }),
  'plan-changed': (state, data, event) => ({
    ...state,
    title: data.title,
    plan: data.plan,
    earlierPlans:
      state.plan === null
        ? state.earlierPlans
        : [
            ...state.earlierPlans,
            { plan: state.plan, reason: data.reason, at: event.occurredAt, by: event.actor, sheetsTorn: state.made },
          ],
  }),
  'layer-added': (state, data) => ({
    ...state,
    layers: [
      ...state.layers,
      {
        id: data.layerId,
        name: data.name,
        blocks: data.blocks,
        zones: data.zones,
        routine: '',
        stackOrder: 'pulled',
        rollUp: null,
        blend: null,
        setups: [],
        cutFurther: false,
      },
    ],
  }),
  'layer-changed': (state, data) =>
    changeLayer(state, data.layerId, (layer) => ({
      ...layer,
      name: data.name,
      blocks: data.blocks,
      routine: data.routine,
      stackOrder: data.stackOrder,
    })),
  'zones-set': (state, data) => changeLayer(state, data.layerId, (layer) => ({ ...layer, zones: data.zones })),
  'press-set': (state, data, event) =>
    changeLayer(state, data.layerId, (layer) => ({
      ...layer,
      setups: [...layer.setups, { seq: event.seq, setup: data.setup }],
    })),
  'piece-planned': (state, data) => ({ ...state, piece: data.piece }),
  'block-prepared': (state, data) => ({
    ...state,
    blocks: [...state.blocks, { id: data.blockId, block: data.block, states: [], exposures: [], inkedShare: null }],
  }),
  'block-changed': (state, data) => changeBlock(state, data.blockId, (block) => ({ ...block, block: data.block })),
  'block-state-recorded': (state, { blockId, ...cut }) =>
    changeBlock(state, blockId, (block) => ({ ...block, states: [...block.states, cut] })),
  'exposure-found': (state, data, event) =>
    changeBlock(state, data.blockId, (block) => ({
      ...block,
      exposures: [...block.exposures, { ...data.exposure, at: event.occurredAt }],
    })),
  'roll-up-set': (state, data) => changeLayer(state, data.layerId, (layer) => ({ ...layer, rollUp: data.rollUp })),
  'inked-share-found': (state, { blockId, share, reading }) =>
    changeBlock(state, blockId, (block) => ({ ...block, inkedShare: { share, reading } })),
  'overprint-planned': (state, data) => ({ ...state, overprint: data.overprint }),
  'blend-planned': (state, data) => changeLayer(state, data.layerId, (layer) => ({ ...layer, blend: data.blend })),
  'register-drawn': (state, data) => ({ ...state, register: data }),
  'sheets-torn': (state, data) => {
    const first = state.sheets.length + 1
    const fresh = Array.from({ length: data.count }, (_, i) => blankSheet(first + i, data.lotId, data.lotName, null))
    return {
      ...state,
      sheets: [...state.sheets, ...fresh],
      made: state.made + data.count,
      torn: [...state.torn, { ...data }],
    }
  },
  pulled: (state, data, event) => recordPull(state, data, event, null),
  'pull-disputed': (state, { rule, message, ...data }, event) =>
    recordPull(state, data, event, { rule, message, settled: false }),
  'dispute-settled': (state, data) => {
    const settled = changePull(state, data.pullId, (pull) => ({
      ...pull,
      voided: data.outcome === 'void',
      sheetIds: data.outcome === 'move' && data.sheetId !== null ? [data.sheetId] : pull.sheetIds,
      disputed: data.outcome === 'move' || pull.disputed === null ? null : { ...pull.disputed, settled: true },
    }))
    const pull = pullOf(settled, data.pullId)
    return pull && data.outcome === 'move' ? putOnSheets(settled, pull) : settled
  },
  'pull-judged': (state, data) =>
    changePull(state, data.pullId, (pull) => ({
      ...pull,
      verdict: data.verdict,
      faults: data.faults,
      rescued: data.rescued,
    })),
  'pull-voided': (state, data) => {
    const pull = pullOf(state, data.pullId)
    if (!pull) return state
    return takeOffSheets(
      changePull(state, data.pullId, (p) => ({ ...p, voided: true })),
      pull,
    )
  },
  'pull-restored': (state, data) => {
    const pull = pullOf(state, data.pullId)
    if (!pull) return state
    return putOnSheets(
      changePull(state, data.pullId, (p) => ({ ...p, voided: false })),
      pull,
    )
  },
  adjusted: (state, data, event) => ({
    ...state,
    adjustments: [
      ...state.adjustments,
      {
        id: data.adjustmentId,
        layerId: data.layerId,
        kind: data.kind,
        note: data.note,
        afterPull: state.pulls.length,
        at: event.occurredAt,
        voided: false,
      },
    ],
  }),
  'adjustment-voided': (state, data) => ({
    ...state,
    adjustments: state.adjustments.map((a) => (a.id === data.adjustmentId ? { ...a, voided: true } : a)),
  }),
  'bat-set': (state, data, event) => ({
    ...state,
    bat: { pullId: data.pullId, at: event.occurredAt },
    earlierBats:
      data.replaced === null
        ? state.earlierBats
        : [...state.earlierBats, { pullId: data.replaced, reason: data.reason }],
  }),
  'declared-dry': (state, data) =>
    data.sheetIds.reduce(
      (s, id) =>
        changeSheet(s, id, (sheet) =>
          sheet.dry.includes(data.layerId) ? sheet : { ...sheet, dry: [...sheet.dry, data.layerId] },
        ),
      state,
    ),
  'block-cut-further': (state, data) => changeLayer(state, data.layerId, (layer) => ({ ...layer, cutFurther: true })),
  'sheet-spoiled': (state, data) =>
    changeSheet(state, data.sheetId, (sheet) => ({ ...sheet, spoiled: { fault: data.fault, reason: data.reason } })),
  'sheet-recovered': (state, data) => changeSheet(state, data.sheetId, (sheet) => ({ ...sheet, spoiled: null })),
  'sheet-split': (state, data) => {
    const whole = state.sheets[data.sheetId - 1]
    if (!whole) return state
    const split = changeSheet(state, data.sheetId, (sheet) => ({ ...sheet, parts: data.parts }))
    return {
      ...split,
      sheets: [...split.sheets, ...data.parts.map((id) => partOf(whole, id))],
      made: split.made + data.parts.length - 1,
    }
  },
  'sheet-curated': (state, data, event) =>
    changeSheet(state, data.sheetId, (sheet) => ({
      ...sheet,
      curated: { verdict: data.verdict, reason: data.reason, seq: event.seq },
    })),
  'numbers-given': (state, data) => {
    const numbered = data.assignments.reduce(
      (s, { sheetId, number }) =>
        changeSheet(s, sheetId, (sheet) => ({
          ...sheet,
          mark: { series: data.series, number },
        })),
      state,
    )
    return { ...numbered, seriesSize: { ...numbered.seriesSize, [data.series]: data.size } }
  },
  'numbers-withdrawn': (state, data) => ({
    ...state,
    sheets: state.sheets.map((sheet) =>
      sheet.mark?.series === data.series && !sheet.signed && !sheet.destroyed ? { ...sheet, mark: null } : sheet,
    ),
  }),
  'print-signed': (state, data) => changeSheet(state, data.sheetId, (sheet) => ({ ...sheet, signed: true })),
  'signing-withdrawn': (state, data) => changeSheet(state, data.sheetId, (sheet) => ({ ...sheet, signed: false })),
  'print-destroyed': (state, data) =>
    changeSheet(state, data.sheetId, (sheet) => ({
      ...sheet,
      destroyed: { reason: data.reason, replaceable: data.replaceable },
    })),
  'size-amended': (state, data, event) => ({
    ...state,
    plan: state.plan === null ? null : { ...state.plan, size: data.size, proofs: data.proofs },
    seriesSize: Object.fromEntries(
      Object.entries(state.seriesSize).map(([series, size]) => [
        series,
        series === 'edition' ? data.size : (data.proofs[series as 'AP'] ?? size),
      ]),
    ),
    amendments: [...state.amendments, { size: data.size, reason: data.reason, at: event.occurredAt, by: event.actor }],
  }),
  'edition-closed': (state, data, event) => ({ ...state, closedAt: event.occurredAt, closingNote: data.note }),
  'edition-reopened': (state, data, event) => ({
    ...state,
    closedAt: null,
    reopenings: [...state.reopenings, { reason: data.reason, at: event.occurredAt }],
  }),
}

/**
 * One event more. Total: an event whose type it does not know, or that speaks of a sheet that is not there, changes
 * nothing but the sequence, so an old ledger always loads however the rules have grown.
 */
export function evolveEdition(state: EditionState, event: Happening): EditionState {
  const evolver = evolvers[event.type as EditionEventType] as Evolver<EditionEventType> | undefined
  const next = evolver ? evolver(state, event.data as never, event) : state
  return put(next, { seq: event.seq, changedAt: event.occurredAt })
}

/** Many events at once, onto an edition that is left as it was. */
export function foldEdition(from: EditionState, events: readonly Happening[]): EditionState {
  own = new WeakSet()
  try {
    return events.reduce(evolveEdition, from)
  } finally {
    own = null
  }
}
