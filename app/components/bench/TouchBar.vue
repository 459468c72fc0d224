<script setup lang="ts">
/** One wide area to touch, with its key. Idle it can be touched all the same, and whoever does hears why nothing happens. */
defineProps<{ name: string; keys: string; stroke?: 'good' | 'doubtful' | 'reject'; idle?: boolean }>()
const emit = defineEmits<{ touch: [] }>()
</script>

<template>
  <button
    type="button"
    class="bar"
    :class="[stroke ? `is-${stroke}` : '', { idle }]"
    :aria-disabled="idle"
    @click="emit('touch')"
  >
    <svg v-if="stroke" viewBox="0 0 40 92" width="36" height="82" aria-hidden="true">
      <rect v-if="stroke === 'good'" x="14" y="3" width="12" height="86" class="pen" />
      <template v-if="stroke === 'doubtful'">
        <rect x="14" y="25" width="11" height="64" class="pen" />
        <circle cx="19.5" cy="9" r="7" class="pen" />
      </template>
      <template v-if="stroke === 'reject'">
        <rect x="15" y="40" width="11" height="49" class="pen" />
        <line x1="2" y1="75" x2="39" y2="60" class="bar-line" />
      </template>
    </svg>
    <span class="words"
      ><span class="name">{{ name }}</span> <kbd>{{ keys }}</kbd></span
    >
  </button>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 26px;
  height: 100%;
  width: 100%;
  min-height: 0;
  color: var(--ink);
  border: 0;
  border-left: 1px solid var(--rule);
}
.bar:active {
  background: var(--sheet);
}
.bar.idle,
.bar.idle svg {
  color: var(--faint);
}
.words {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.name {
  font-family: var(--serif);
  font-weight: 600;
  font-size: 1.7rem;
  line-height: 1;
}
kbd {
  border: 1px solid var(--faint);
  padding: 2px 8px;
  font-family: var(--sans);
  font-size: 0.78rem;
}
.is-good {
  background: var(--ink);
  color: var(--ground);
}
.is-good:active {
  background: #fff;
}
.is-good .name {
  font-size: 2.8rem;
}
.is-good.idle {
  background: var(--sheet);
  color: var(--faint);
}
.pen {
  fill: currentcolor;
}
.bar-line {
  stroke: currentcolor;
  stroke-width: 8;
}
.is-doubtful svg {
  color: var(--doubtful);
}
.is-reject svg {
  color: var(--reject);
}
.small .words {
  display: flex;
  align-items: center;
  gap: 12px;
}
.small .name {
  font-size: 1.25rem;
}
@media (max-width: 860px) {
  .bar {
    gap: 8px;
    flex-direction: column;
  }
  .bar svg {
    height: 40px;
    width: 20px;
  }
  .is-good .name {
    font-size: 1.6rem;
  }
  .name {
    font-size: 1.1rem;
  }
  kbd {
    display: none;
  }
  .small .name {
    font-size: 1rem;
  }
}
@media (max-width: 860px) and (min-height: 900px) {
  .bar svg {
    height: 72px;
    width: 34px;
  }
  .is-good .name {
    font-size: 2.4rem;
  }
  .name {
    font-size: 1.5rem;
  }
}
@media (max-height: 560px) {
  .bar {
    gap: 10px;
  }
  .bar svg {
    display: none;
  }
  .is-good .name,
  .name {
    font-size: 1.2rem;
  }
}
</style>
