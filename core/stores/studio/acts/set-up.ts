import { defineAct } from '../../../ground/act'
import { refuse } from '../../../ground/refusal'
import { Id, Part } from '../../../ground/shape'
import { anyone } from '../../../ground/who'
import { personAdded } from '../events/person-added'
import { studioSet } from '../events/studio-set'
import { StudioSettings } from '../state'
import { studio } from '../stream'

class FirstSettings {
  static readonly sample: FirstSettings = { managerId: 'p', settings: StudioSettings.sample }

  @Id('person') managerId!: string
  @Part(() => StudioSettings) settings!: StudioSettings
}

/**
 * An empty room gets its name and its first manager, once. Whoever holds the token that the server printed may; the rule
 * is heard by the one writer, so that of several set-ups at once one is carried out.
 */
export const setUp = defineAct(studio, 'set-up', FirstSettings, anyone, {
  events: [personAdded, studioSet],
  rule: ({ studio }, { managerId, settings }) => {
    if (Object.keys(studio.people).length > 0)
      return refuse('set-up-already', 'This pressroom is set up already. Sign in instead.')
    if (settings.name.trim() === '') return refuse('name-missing', 'Give the pressroom a name.', 'studio')
    return [personAdded.on(studio, { personId: managerId, role: 'manager' as const }), studioSet.on(studio, settings)]
  },
})
