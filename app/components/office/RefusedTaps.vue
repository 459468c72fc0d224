<script setup lang="ts">
import { stamp } from '~/format/days'
/** Taps of this browser that a rule refused: kept until someone has read why. */
const outbox = useOutbox()
</script>

<template>
  <section v-if="outbox.refused.length > 0" id="refused" class="part">
    <div class="part-head">
      <h2>Refused taps of this browser</h2>
      <p>kept until someone has read why</p>
    </div>
    <ul class="lines">
      <li v-for="entry in outbox.refused" :key="entry.command.commandId">
        {{ entry.command.type }}, {{ stamp(entry.command.occurredAt) }}:
        {{ entry.message }}
      </li>
    </ul>
    <div class="buttons"><VBtn class="quiet" @click="outbox.putAway()">Read; put them away</VBtn></div>
  </section>
</template>
