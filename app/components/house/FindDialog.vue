<script setup lang="ts">
import type { FindReply, Found } from '#shared/replies/replies'

/** Find anything of the room from anywhere, with the keyboard: arrows choose, Enter goes there. */
const open = defineModel<boolean>({ required: true })
const text = ref('')
const found = ref<Found[]>([])
const at = ref(0)
const trouble = ref('')
/** What the shown results were asked for: nothing is said to be missing while it is looked for. */
const answered = ref('')
let asked = 0

watch(open, (now) => {
  if (now) text.value = trouble.value = answered.value = ''
  found.value = []
})
watchDebounced([text], () => void look(), 120)

async function look() {
  const wanted = text.value.trim()
  const mine = (asked += 1)
  if (wanted === '') {
    found.value = []
    return
  }
  try {
    const reply = await api<FindReply>(`/api/find?text=${encodeURIComponent(wanted)}`)
    // A later key has asked for something else meanwhile.
    if (mine !== asked) return
    found.value = reply.found
    at.value = 0
    answered.value = wanted
    trouble.value = ''
  } catch (error) {
    if (mine === asked) trouble.value = wordsOf(error)
  }
}

async function go(one: Found | undefined) {
  if (!one) return
  open.value = false
  await navigateTo(one.to)
}

function onKey(event: KeyboardEvent) {
  const by = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (by === undefined || found.value.length === 0) return
  event.preventDefault()
  at.value = (at.value + by + found.value.length) % found.value.length
}
</script>

<template>
  <VDialog v-model="open" aria-label="Find">
    <form class="dialog-sheet" @submit.prevent="go(found[at])">
      <label class="asked"
        >Find
        <input
          v-model="text"
          type="text"
          placeholder="harbour, sheet 21 scales, 3/20 tide, a name"
          autofocus
          maxlength="120"
          role="combobox"
          aria-autocomplete="list"
          aria-controls="found"
          :aria-expanded="found.length > 0"
          :aria-activedescendant="found.length > 0 ? `found-${at}` : undefined"
          @keydown="onKey"
        />
      </label>
      <ul id="found" role="listbox" aria-label="Found">
        <li
          v-for="(one, i) in found"
          :id="`found-${i}`"
          :key="`${one.kind} ${one.words} ${i}`"
          role="option"
          :aria-selected="i === at"
          @click="go(one)"
          @pointermove="at = i"
        >
          <span class="kind">{{ one.kind }}</span>
          <span
            ><strong>{{ one.words }}</strong
            ><template v-if="one.told">, {{ one.told }}</template></span
          >
        </li>
      </ul>
      <p v-if="text.trim() === ''" class="soft">
        An edition, a person, a paper, an ink or a block by the beginning of a word; a sheet by its serial, a print by
        its number.
      </p>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <p v-else-if="answered !== '' && found.length === 0 && text.trim() !== ''" class="soft" role="status">
        Nothing here is called “{{ answered }}”. Part of a title, a name or a paper is enough; a sheet goes by its
        number.
      </p>
    </form>
  </VDialog>
</template>

<style scoped>
.asked {
  font-size: 0.84rem;
  color: var(--soft);
}
.asked input {
  display: block;
  width: 100%;
  min-height: 44px;
  font-family: var(--serif);
  font-size: 1.3rem;
  color: var(--ink);
  border: 0;
  border-bottom: 2px solid var(--ink);
}
.asked input::placeholder {
  color: var(--faint);
}
.dialog-sheet {
  min-height: 320px;
  align-content: start;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: 72px minmax(0, 1fr);
  gap: 12px;
  padding: 8px 10px;
  border-bottom: 1px solid var(--rule);
  cursor: pointer;
}
li[aria-selected='true'] {
  background: var(--ink);
  color: var(--sheet);
}
.kind {
  font-size: 0.84rem;
  opacity: 0.8;
}
</style>
