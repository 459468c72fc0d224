<script setup lang="ts">
/** A form that gives one act: its fields, what was refused at its foot, and the button that gives it. */
defineProps<{
  /** What the button says. */
  button: string
  busy?: boolean
  /** What was refused and no field shows. */
  fault?: string | null
  disabled?: boolean
  /** One of several things on the page, not what it is for. */
  quiet?: boolean
}>()
const emit = defineEmits<{ give: [] }>()
defineSlots<{
  default: () => unknown
  /** Beside the button: another way out, or what was done. */
  beside?: () => unknown
}>()
</script>

<template>
  <form @submit.prevent="emit('give')">
    <slot />
    <TroubleLine :words="fault" />
    <div class="buttons">
      <VBtn type="submit" :class="{ quiet }" :loading="busy" :disabled="disabled">{{ button }}</VBtn>
      <slot name="beside" />
    </div>
  </form>
</template>
