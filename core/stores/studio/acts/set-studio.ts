import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { managers } from '../../../ground/who'
import { studioDefaults, type StudioSettings } from '../state'
import { studio } from '../stream'

const studioSet = defineEvent(studio, 'studio-set', (state, data: StudioSettings) => changed(state, data), [
  (data) => ({ ...data, ...studioDefaults }),
  (data) => ({ confidence: studioDefaults.confidence, ...data }),
])

/** The room's customs and prices are set. */
export const setStudio = defineAct(studio, 'set-studio', managers, {
  events: [studioSet],
  rule: ({ studio }, data: StudioSettings) =>
    data.name.trim() === ''
      ? refuse('name-missing', 'Give the pressroom a name.', 'name')
      : [studioSet.on(studio, data)],
})
