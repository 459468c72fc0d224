<script setup lang="ts">
import { type LossBy, roomLossesBy } from '#core/watch/losses'
import type { RoomLossesReply } from '#shared/replies/replies'
import { pluralise } from '#core/units/pluralise'

/** Where the room loses, told apart by one thing at a time, over the editions that were printed last. */
useHead({ title: 'Losses · Ample Tally' })
const session = useSession()
const by = ref<LossBy>('press')
const options = roomLossesBy.map((value) => ({ value, title: value }))
const reply = ref<RoomLossesReply | null>(null)
const trouble = ref('')
let asked = 0

watch(
  by,
  async (wanted) => {
    const mine = ++asked
    try {
      const found = await api<RoomLossesReply>(`/api/losses?by=${encodeURIComponent(wanted)}`)
      // An older answer that comes late is of another question.
      if (mine !== asked) return
      reply.value = found
      trouble.value = ''
    } catch (error) {
      if (mine === asked) trouble.value = wordsOf(error)
    }
  },
  { immediate: true },
)
const finder = (fault: string) => `/finder?fault=${fault}`
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Losses</h1>
      <p v-if="reply" class="told">{{ pluralise(reply.editions, 'edition') }} printed last</p>
    </div>
    <TroubleLine :words="trouble" />
    <section class="part">
      <div class="customs">
        <p>
          Pulls not good, by
          <EditableValue v-model="by" label="Losses told apart by" kind="choice" :options="options" :words="by" />.
          <template v-if="by === 'person' && !session.isStaff">Of others only staff are told.</template>
        </p>
      </div>
      <LossTable v-if="reply" :rows="reply.rows" :by="by" :finder="finder" file="losses-of-the-room.csv" />
    </section>
  </div>
</template>
