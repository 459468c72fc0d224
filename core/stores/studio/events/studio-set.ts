import { defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { studioDefaults, type StudioSettings } from '../state'
import { studio } from '../stream'

/** The room's customs and prices, from now on. */
export const studioSet = defineEvent(studio, 'studio-set', (state, data: StudioSettings) => changed(state, data), [
  (data) => ({ ...data, ...studioDefaults }),
  (data) => ({ confidence: studioDefaults.confidence, ...data }),
  (data) => ({ idleMinutes: studioDefaults.idleMinutes, backupsKept: studioDefaults.backupsKept, ...data }),
  (data) => ({ bookedHours: studioDefaults.bookedHours, tarers: studioDefaults.tarers, ...data }),
])
