import { IsInt, Max, Min } from 'class-validator'
import { ProofsPromised } from '../../plan/plan'
import { Part, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { doerOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { reasonMissing, type Refused, refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { allSeries, type Series } from '../../print/series'
import { usedNumbers } from '../numbers'
import { anySigned } from '../sheet'
import type { EditionState } from '../state'
import { edition } from '../stream'

class Amended {
  static readonly sample: Amended = { size: 4, proofs: { AP: 1, PP: 0, HC: 0 }, reason: 'x' }

  @IsInt() @Min(1) @Max(2000) size!: number
  @Part(() => ProofsPromised) proofs!: ProofsPromised
  @Words(500) reason!: string
}

const sizeIn = ({ size, proofs }: Amended, series: Series) => (series === 'edition' ? size : proofs[series])

const sizeAmended = defineEvent(edition, 'size-amended', (state, data: Amended, event) => {
  const { size, proofs, reason } = data
  const known = Object.entries(state.seriesSize) as [Series, number][]
  return changed(state, {
    plan: state.plan === null ? null : { ...state.plan, size, proofs },
    seriesSize: Object.fromEntries(known.map(([series, before]) => [series, sizeIn(data, series) ?? before])),
    amendments: appended(state.amendments, { size, reason, at: event.occurredAt, ...doerOf(event) }),
  })
})

/** The size changes after a print was signed: it shows in the record. */
export const amendSize = defineAct(edition, 'amend-size', Amended, staff, {
  guarded: true,
  events: [sizeAmended],
  rule: ({ edition }, data) => {
    if (!anySigned(edition)) return refuse('not-signed', 'No print is signed yet: change the plan instead.')
    if (data.reason.trim() === '')
      return reasonMissing('Say why the size changes, so that the record can be read later.')
    if (!Number.isInteger(data.size) || data.size < 1 || data.size > 2000)
      return refuse('size-range', `An edition has 1 to 2000 prints; ${data.size} was given.`, 'size')
    return belowNumbers(edition, data) ?? [sizeAmended.on(edition, data)]
  },
})

function belowNumbers(state: EditionState, data: Amended): Refused | null {
  for (const series of allSeries) {
    const wanted = sizeIn(data, series)
    const highest = Math.max(0, ...usedNumbers(state, series))
    if (wanted < highest)
      return refuse(
        'size-below-numbers',
        `${series} ${highest} is given already, so the series cannot be ${wanted}.`,
        'size',
      )
  }
  return null
}
