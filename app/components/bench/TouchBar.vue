<script setup lang="ts">
/** One wide area to touch, with its key. */
defineProps<{ name: string; keys: string; stroke?: 'good' | 'doubtful' | 'reject'; disabled?: boolean }>()
const emit = defineEmits<{ touch: [] }>()
</script>

<template>
  <button type="button" class="bar" :class="stroke ? `is-${stroke}` : ''" :disabled="disabled" @click="emit('touch')">
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
  min-height: 56px;
  color: var(--ink);
  border: 0;
  border-left: 1px solid var(--rule);
}
.bar:active {
  background: var(--sheet);
}
.bar:disabled {
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
.is-good:disabled {
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
@media (max-width: 700px) {
  .bar {
    gap: 10px;
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
}
</style>
