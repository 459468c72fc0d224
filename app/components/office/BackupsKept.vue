<script setup lang="ts">
import { stamp } from '~/format/days'
import type { BackupsReply } from '#shared/replies/replies'
import { pluralise } from '#core/units/pluralise'

/** Copies of the whole room: those there are, and one made now. */
const { busy, fault, giving } = useGiving()
const kept = ref<BackupsReply | null>(null)
const ask = (method: 'GET' | 'POST') =>
  giving(async () => {
    kept.value = await api<BackupsReply>('/api/backups', method, method === 'POST' ? {} : undefined)
  })
onMounted(() => void ask('GET'))
const size = (bytes: number) => `${(bytes / 1024 / 1024).toFixed(1)} MB`
</script>

<template>
  <div>
    <div class="buttons">
      <VBtn class="quiet" :loading="busy" @click="ask('POST')">Make a backup</VBtn
      ><span v-if="kept" class="soft" role="status">{{
        kept.backups[0]
          ? `The newest is of ${stamp(kept.backups[0].at)}: ${kept.backups[0].events} events, ${size(kept.backups[0].bytes)}.`
          : 'There is none yet.'
      }}</span>
    </div>
    <p v-if="kept" class="soft">
      They lie in {{ kept.folder }} on the server. Copy them to another disk now and then; bringing one back is said in
      the README.
    </p>
    <p v-if="kept?.backups[0]?.lost" class="trouble" role="alert">
      {{ pluralise(kept.backups[0].lost, 'picture') }} named in the record could not be found when it was made. Look for
      an older backup that has {{ kept.backups[0].lost === 1 ? 'it' : 'them' }}.
    </p>
    <TroubleLine :words="fault" />
  </div>
</template>
