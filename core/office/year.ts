import type { EditionState } from '../edition/state'
import { isLive } from '../edition/pull'
import { streamId } from '../ground/envelope'
import type { Method } from '../plan/plan'

/** Pulls of a method in a span of time, as they stand now. */
export interface MethodYield {
  method: Method
  pulls: number
  good: number
  doubtful: number
  rejects: number
}

/** An edition on which something was done in the span. */
export interface EditionOfYear {
  editionId: string
  title: string
  artist: string
  method: Method
  pulls: number
  begun: boolean
  closed: boolean
}

/** What editions made in a span of time. */
export interface PrintedIn {
  editions: EditionOfYear[]
  /** Impressions of every kind that stand, void ones left out. */
  impressions: number
  proofs: number
  methods: MethodYield[]
}

/** A test of when something was. */
type Within = (iso: string) => boolean

/**
 * Adds an edition to what was printed in a span of time: pulls by when they were made and as they are judged now, so that a
 * print which was found bad later is no good one of the year.
 */
export function addEdition(sum: PrintedIn, state: EditionState, isIn: Within): PrintedIn {
  if (state.plan === null) return sum
  const { method, artist } = state.plan
  const pulls = state.pulls.filter((pull) => isLive(pull) && isIn(pull.at))
  const counted = pulls.filter(({ kind }) => kind === 'pull')
  const of = (verdict: string) => counted.filter((pull) => pull.verdict === verdict).length
  const [begun, closed] = [isIn(state.startedAt), state.closedAt !== null && isIn(state.closedAt)]
  if (pulls.length === 0 && !begun && !closed) return sum
  const before = sum.methods.find((one) => one.method === method) ?? {
    method,
    pulls: 0,
    good: 0,
    doubtful: 0,
    rejects: 0,
  }
  const after: MethodYield = {
    method,
    pulls: before.pulls + counted.length,
    good: before.good + of('good'),
    doubtful: before.doubtful + of('doubtful'),
    rejects: before.rejects + of('reject'),
  }
  return {
    editions: [
      ...sum.editions,
      { editionId: streamId(state.stream), title: state.title, artist, method, pulls: pulls.length, begun, closed },
    ],
    impressions: sum.impressions + pulls.length,
    proofs: sum.proofs + pulls.filter(({ kind }) => kind === 'proof').length,
    methods: [...sum.methods.filter((one) => one.method !== method), ...(after.pulls > 0 ? [after] : [])].sort(
      (a, b) => b.pulls - a.pulls,
    ),
  }
}

export const nothingPrinted: PrintedIn = { editions: [], impressions: 0, proofs: 0, methods: [] }
