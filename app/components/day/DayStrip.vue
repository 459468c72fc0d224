<script setup lang="ts">
import type { Booking } from '#core/calendar/state'
import { type Along, tornEnds } from '~/drawings/day-sheet'

/** A booking as a strip of paper torn to the length of its time. */
defineProps<{
  booking: Booking
  along: Along
  /** How far down it is held, px. */
  shift: number
  said: string
  isHeld: boolean
  isChosen: boolean
  /** Its person is at the place now. */
  isHere: boolean
  mayMove: boolean
}>()
</script>

<template>
  <button
    type="button"
    class="strip"
    :class="{ held: isHeld, chosen: isChosen, here: isHere, movable: mayMove, fixed: booking.isFixed }"
    :aria-pressed="isChosen"
    :aria-label="said"
    :title="said"
    :style="{
      left: `${along.left}%`,
      width: `${along.width}%`,
      transform: shift === 0 ? undefined : `translateY(${shift}px)`,
    }"
  >
    <span class="paper" :style="{ clipPath: tornEnds(booking.bookingId) }">{{ said }}</span>
  </button>
</template>

<style scoped>
.strip {
  position: absolute;
  top: 5px;
  height: calc(100% - 10px);
  min-width: 24px;
  touch-action: none;
}
.movable {
  cursor: grab;
}
.paper {
  display: block;
  height: 100%;
  padding: 6px 10px 0;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  background: var(--sheet);
  background-image: linear-gradient(var(--rule), var(--rule));
  background-size: 100% 1px;
  background-repeat: no-repeat;
  background-position: bottom;
  box-shadow: inset 0 0 0 1px var(--rule);
  font-size: 0.84rem;
  text-align: left;
}
.here .paper {
  background-color: var(--ink);
  color: var(--sheet);
}
.fixed .paper {
  box-shadow:
    inset 4px 0 0 var(--ink),
    inset 0 0 0 1px var(--rule);
  padding-left: 14px;
}
.chosen .paper {
  box-shadow: inset 0 0 0 2px var(--green);
}
.held {
  opacity: 0.8;
  z-index: 3;
  cursor: grabbing;
}
</style>
