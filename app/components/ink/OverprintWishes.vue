<script setup lang="ts">
import type { OverprintWish } from '#core/ink/roll-up'
import type { useOverprintFilms } from '~/composables/overprint-films'

/** What the chosen overlap should look like, what was wished so far, and all orders ranked by it. */
const props = defineProps<{ films: ReturnType<typeof useOverprintFilms>; chosen: number | null }>()
const emit = defineEmits<{ show: [keys: string[]] }>()
const { form, laid, keyOf, nameOf, keysIn, named } = props.films
const { ranked, ranking, rank } = useOrderRanking(props.films)
const keep = ref<OverprintWish['keep']>('layer')
const wish = ref({ layerId: '', colour: '#8899aa' })
watch(
  () => [form.value.rows.map(keyOf), form.value.wishes.length] as const,
  () => {
    ranked.value = null
  },
)

const chosenKeys = computed(() => (props.chosen ? keysIn(props.chosen) : []))
function addWish() {
  const layers = chosenKeys.value
  form.value.wishes.push({
    layers,
    keep: keep.value,
    colour: keep.value === 'colour' ? wish.value.colour : null,
    layerId:
      keep.value === 'layer' ? (layers.includes(wish.value.layerId) ? wish.value.layerId : layers.at(-1)!) : null,
  })
}
function wishWords({ layers, keep: kept, layerId, colour }: OverprintWish): string {
  const wanted = {
    paper: () => 'keep the paper’s tint',
    layer: () => `near ${named([layerId!])}’s own colour on white`,
    colour: () => `near ${colour}`,
  }
  return `${named(layers)}: ${wanted[kept]()}`
}
</script>

<template>
  <div>
    <h3>What an overlap should look like</h3>
    <p v-if="chosenKeys.length === 0" class="soft">
      Choose an overlap above, then say what it should look like; all orders can be ranked by it.
    </p>
    <div v-else class="fields wishing">
      <p>
        <strong>{{ named(chosenKeys) }}</strong>
      </p>
      <VSelect
        v-model="keep"
        label="Should"
        :items="[
          { value: 'layer', title: 'look like one layer on white' },
          { value: 'paper', title: 'keep the paper’s tint' },
          { value: 'colour', title: 'have this colour' },
        ]"
      />
      <VSelect
        v-if="keep === 'layer'"
        v-model="wish.layerId"
        label="Which layer"
        :items="chosenKeys.map((key) => ({ value: key, title: named([key]) }))"
      />
      <label v-if="keep === 'colour'" class="soft"
        >Colour <input v-model="wish.colour" type="color" aria-label="Colour wished for"
      /></label>
      <VBtn class="quiet" @click="addWish">Wish it</VBtn>
    </div>
    <ul v-if="form.wishes.length > 0" class="lines">
      <li v-for="(one, i) in form.wishes" :key="i" class="wished">
        <span>{{ wishWords(one) }}</span><button
          type="button"
          :aria-label="`Drop the wish for ${named(one.layers)}`"
          @click="form.wishes.splice(i, 1)"
        >
          Drop
        </button>
      </li>
    </ul>
    <div v-if="form.wishes.length > 0 && laid.length > 1" class="buttons">
      <VBtn class="quiet" :loading="ranking" @click="rank">Rank all orders</VBtn>
    </div>
    <table v-if="ranked" v-columns class="ruled">
      <thead>
        <tr>
          <th>Order</th>
          <th class="number">ΔE in all</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, i) in ranked" :key="i">
          <td>{{ one.order.map((at) => nameOf(laid[at]!.row)).join(', then ') }}</td>
          <td class="number">{{ one.sum.toFixed(1) }}</td>
          <td>
            <button
              type="button"
              class="show"
              :aria-label="`Show order ${i + 1} beside`"
              @click="
                emit(
                  'show',
                  one.order.map((at) => keyOf(laid[at]!.row)),
                )
              "
            >
              Show beside
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
h3 {
  margin: 22px 0 8px;
}
.wishing {
  align-items: end;
}
.wished {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  font-size: 0.92rem;
}
.wished button,
.show {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 28px;
  font-size: 0.86rem;
}
input[type='color'] {
  width: 64px;
  height: 36px;
  border: 1px solid var(--rule);
  padding: 2px;
  background: var(--sheet);
}
</style>
