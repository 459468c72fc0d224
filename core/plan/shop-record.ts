import { addTouch, type TouchRecord } from '../drying/moments'
import { addNewsprint, noNewsprint, type NewsprintRecord } from '../print/newsprint'
import { together, type TrialRecord, without } from '../print/remedies'
import type { PastEdition } from './past-editions'
import type { Method } from './plan'
import type { Work } from './work'

/** Pulls, or sheets in finishing, that passed and that did not. */
export interface Passes {
  passed: number
  rejected: number
}

/** What one edition adds to the shop's record. */
export interface EditionPasses {
  method: Method
  work: Work
  /** By the person who pulled. */
  printers: Record<string, Passes>
  finishing: Passes
  proofs: ProofsTaken
  /** How often each fault was named. */
  faults: Record<string, number>
  /** What was tried against them. */
  trials: TrialRecord
  /** What good paper made of what was right on newsprint. */
  newsprint: NewsprintRecord
  /** What touch tests said of inks on papers. */
  touch: Record<string, TouchRecord>
}

/** Sheets that proofs took out of the stack, and of how many layers, the first of each edition left out. */
export interface ProofsTaken {
  layers: number
  sheets: number
}

/** The shop's own past, for the rates that plans start from. Printers are persons' ids. */
export interface ShopRecord {
  methods: { method: Method; work: Work; passes: Passes; printers: Record<string, Passes> }[]
  finishing: Passes
  proofs: ProofsTaken
  faults: Record<string, number>
  trials: TrialRecord
  newsprint: NewsprintRecord
  touch: Record<string, TouchRecord>
}

export const noRecord: ShopRecord = {
  methods: [],
  finishing: { passed: 0, rejected: 0 },
  proofs: { layers: 0, sheets: 0 },
  faults: {},
  trials: {},
  newsprint: noNewsprint,
  touch: {},
}

function add(to: Passes, more: Passes, sign = 1): void {
  to.passed += sign * more.passed
  to.rejected += sign * more.rejected
}

function addFaults(to: Record<string, number>, more: Record<string, number>, sign = 1): void {
  for (const [key, count] of Object.entries(more)) {
    const sum = (to[key] ?? 0) + sign * count
    if (sum === 0) delete to[key]
    else to[key] = sum
  }
}

/** The shop's record from what each edition adds and what was typed of editions before the ledger. */
export function gatherRecord(editions: Iterable<EditionPasses>, past: readonly PastEdition[]): ShopRecord {
  const methods: ShopRecord['methods'] = []
  const finishing: Passes = { passed: 0, rejected: 0 }
  const proofs: ProofsTaken = { layers: 0, sheets: 0 }
  const faults: Record<string, number> = {}
  let trials: TrialRecord = {}
  let newsprint = noNewsprint
  let touch: Record<string, TouchRecord> = {}
  const lineFor = (method: Method, work: Work) => {
    let line = methods.find((known) => known.method === method && known.work === work)
    if (!line) methods.push((line = { method, work, passes: { passed: 0, rejected: 0 }, printers: {} }))
    return line
  }
  for (const edition of editions) {
    const line = lineFor(edition.method, edition.work)
    for (const [printer, passes] of Object.entries(edition.printers)) {
      add(line.passes, passes)
      add((line.printers[printer] ??= { passed: 0, rejected: 0 }), passes)
    }
    add(finishing, edition.finishing)
    proofs.layers += edition.proofs.layers
    proofs.sheets += edition.proofs.sheets
    addFaults(faults, edition.faults)
    trials = together(trials, edition.trials)
    newsprint = addNewsprint(newsprint, edition.newsprint)
    touch = addTouch(touch, edition.touch)
  }
  for (const edition of past) {
    add(lineFor(edition.method, edition.work).passes, { passed: edition.passed, rejected: edition.rejected })
    add(finishing, { passed: edition.finished, rejected: edition.lost })
  }
  return { methods, finishing, proofs, faults, trials, newsprint, touch }
}

/** The record without one edition's own share, which is reckoned by itself. */
export function recordWithout(record: ShopRecord, own: EditionPasses): ShopRecord {
  const methods = record.methods.map((line) => {
    if (line.method !== own.method || line.work !== own.work) return line
    const less = { ...line, passes: { ...line.passes }, printers: { ...line.printers } }
    for (const [printer, passes] of Object.entries(own.printers)) {
      add(less.passes, passes, -1)
      const theirs = less.printers[printer]
      if (theirs) add((less.printers[printer] = { ...theirs }), passes, -1)
    }
    return less
  })
  const finishing = { ...record.finishing }
  add(finishing, own.finishing, -1)
  const proofs = {
    layers: record.proofs.layers - own.proofs.layers,
    sheets: record.proofs.sheets - own.proofs.sheets,
  }
  const faults = { ...record.faults }
  addFaults(faults, own.faults, -1)
  const newsprint = addNewsprint(record.newsprint, own.newsprint, -1)
  const touch = addTouch(record.touch, own.touch, -1)
  return { methods, finishing, proofs, faults, trials: without(record.trials, own.trials), newsprint, touch }
}
