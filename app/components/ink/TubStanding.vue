<script setup lang="ts">
import { tub as tubStream } from '#core/stores/tub/stream'
import { tubConditions } from '#core/stores/tub/state'
import type { TubSummary } from '#shared/replies/replies'

/** Clean, skinned or dirty, said where it is found: whoever looks after the room sees it on the Floor. */
const props = defineProps<{ tub: TubSummary }>()
const session = useSession()
const { fault, giving } = useGiving()
const condition = useFollowing(
  () => ({ is: props.tub.condition }),
  () => props.tub.id,
)
const options = tubConditions.map((value) => ({ value, title: value }))

async function keep() {
  const { name, maker, container, family, nature, density, tinting, price, openedOn, limits, keptAt, card } = props.tub
  const described = { name, maker, container, family, nature, density, tinting, price, openedOn, limits, keptAt, card }
  const told = { ...described, condition: condition.value.is }
  await giving(() => session.give('describe-tub', tubStream.of(props.tub.id), told))
}
</script>

<template>
  <EditableValue
    v-model="condition.is"
    :label="`How ${tub.name} stands`"
    kind="choice"
    :options="options"
    :words="condition.is"
    :fault="fault"
    @kept="keep"
  />
</template>
