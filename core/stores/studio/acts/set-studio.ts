import { defineAct } from '../../../ground/act'
import { refuse } from '../../../ground/refusal'
import { managers } from '../../../ground/who'
import { studioSet } from '../events/studio-set'
import { StudioSettings } from '../state'
import { studio } from '../stream'

/** The room's customs and prices are set. */
export const setStudio = defineAct(studio, 'set-studio', StudioSettings, managers, {
  events: [studioSet],
  rule: ({ studio }, data) =>
    data.name.trim() === ''
      ? refuse('name-missing', 'Give the pressroom a name.', 'name')
      : [studioSet.on(studio, data)],
})
