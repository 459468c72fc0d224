import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { SeriesFormat } from '../../../register/registration'
import { studio } from '../stream'

const seriesFormatSet = defineEvent(studio, 'series-format-set', (state, data: SeriesFormat) =>
  changed(state, { seriesFormats: [...state.seriesFormats.filter((known) => known.id !== data.id), data] }),
)

/** The common mat window and lines of prints that hang together are kept. */
export const setSeriesFormat = defineAct(studio, 'set-series-format', SeriesFormat, printers, {
  events: [seriesFormatSet],
  rule: ({ studio }, data) =>
    data.name.trim() === ''
      ? refuse('name-missing', 'Give the series a name to find its format by.', 'name')
      : [seriesFormatSet.on(studio, data)],
})
