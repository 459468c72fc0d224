<script setup lang="ts">
import { type Finding, type FindingKey, findings } from '#core/care/findings'

/** A place looked over, thing by thing: right, not right, or not looked at. */
const props = defineProps<{ listed: FindingKey[]; title: string }>()
const items = defineModel<Finding[]>({ required: true })
const said = (key: FindingKey) => items.value.find((item) => item.key === key)?.isRight
function say(key: FindingKey, isRight: boolean) {
  const others = items.value.filter((item) => item.key !== key)
  // Said again, it is taken back.
  items.value = said(key) === isRight ? others : [...others, { key, isRight }]
}
const allRight = () => {
  items.value = props.listed.map((key) => ({ key, isRight: true }))
}
</script>

<template>
  <fieldset>
    <legend>{{ title }}</legend>
    <button type="button" class="all" @click="allRight">All is as it should be</button>
    <ul>
      <li v-for="key in listed" :key="key" :class="{ wrong: said(key) === false }">
        <span>{{ said(key) === false ? findings[key].wrong : findings[key].right }}</span>
        <span class="acts">
          <button
            type="button"
            :aria-pressed="said(key) === true"
            :aria-label="`Yes, ${findings[key].right}`"
            @click="say(key, true)"
          >
            Yes
          </button>
          <button
            type="button"
            :aria-pressed="said(key) === false"
            :aria-label="`No, ${findings[key].wrong}`"
            @click="say(key, false)"
          >
            No
          </button>
        </span>
      </li>
    </ul>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  min-width: 0;
}
legend {
  font-weight: 600;
  padding: 0;
}
.all {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 32px;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  border-bottom: 1px solid var(--rule);
  min-height: 44px;
}
.wrong {
  color: var(--reject);
  font-weight: 600;
}
.acts {
  display: flex;
  gap: 4px;
}
.acts button {
  min-width: 56px;
  min-height: 40px;
  border: 1px solid var(--rule);
}
.acts button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--sheet);
  border-color: var(--ink);
}
</style>
