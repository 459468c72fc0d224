<script setup lang="ts">
import { roomIn } from '#core/stores/rack/state'
import type { RacksReply } from '#shared/replies/replies'
import { pluralise } from '#core/units/pluralise'

/** What dries where: racks, lines and shelves by their slots, what is fit for what, and the air they stand in. */
useHead({ title: 'Racks · Ample Tally' })
const session = useSession()
const { reply, trouble, now } = useReply<RacksReply>('/api/racks', {
  on: ['rack', 'edition', 'climate', 'studio', 'batch', 'lot'],
  every: aMinute,
})
const adding = ref(false)

function added() {
  adding.value = false
}

const free = computed(() => roomIn(reply.value?.racks ?? []))
/** Of everything that is to be laid in, what there is no room for. */
const tooMany = computed(() =>
  Math.max(0, (reply.value?.toLay ?? []).reduce((sum, { pieces }) => sum + pieces, 0) - free.value),
)
/** Those first in which something dries. */
const inOrder = computed(() =>
  [...(reply.value?.racks ?? [])].sort((a, b) => Number(b.lain.length > 0) - Number(a.lain.length > 0)),
)
const stacksOf = (rackId: string) => reply.value!.stacks.filter((stack) => stack.rackId === rackId)
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Racks</h1>
      <p v-if="reply" class="told">
        {{ pluralise(free, 'place') }} free<template v-if="tooMany > 0"
          >, {{ tooMany }} too few for what is wet now</template
        >
      </p>
      <VBtn v-if="session.isStaff" class="right" @click="adding = !adding">{{
        adding ? 'Leave the new rack' : 'Add a rack'
      }}</VBtn>
    </div>
    <TroubleLine :words="trouble" />
    <section v-if="adding" class="part">
      <div class="part-head"><h2>A rack, a line or a shelf</h2></div>
      <RackForm @done="added" />
    </section>
    <template v-if="reply">
      <LayIn v-if="reply.toLay.length > 0 && reply.racks.length > 0" :stacks="reply.toLay" :racks="reply.racks" />
      <section class="part" aria-label="The racks">
        <TeachStep v-if="reply.racks.length === 0 && !adding" />
        <RackOne v-for="rack in inOrder" :key="rack.id" :rack="rack" :stacks="stacksOf(rack.id)" :now="now" />
      </section>
      <RoomAir :air="reply.air" :climate="reply.climate" :now="now" />
    </template>
  </div>
</template>
