<script setup lang="ts">
/** Whose edition it is: those named here act on it, all others look on. */
const edition = useEdition()
const session = useSession()
const { busy, fault, giving } = useGiving()
const form = useFollowing(() => ({
  artistId: edition.state!.artistId,
  printerIds: [...edition.state!.printerIds],
}))
const known = computed(() => new Set([edition.state!.artistId, ...edition.state!.printerIds]))
const people = computed(() =>
  session.people
    .filter(({ id, active }) => active || known.value.has(id))
    .map(({ id, name, role, active }) => ({ value: id, title: `${name}, ${active ? role : 'has left'}` })),
)
const changed = computed(
  () => !sameContent(form.value, { artistId: edition.state!.artistId, printerIds: edition.state!.printerIds }),
)
const save = () => giving(() => edition.give('name-printers', form.value))
</script>

<template>
  <OpenForm @submit.prevent="save">
    <div class="fields">
      <VSelect v-model="form.printerIds" class="wide" label="Printed by" multiple :items="people" />
      <VSelect
        v-model="form.artistId"
        label="Artist, of the room"
        placeholder="nobody of the room"
        clearable
        :items="people"
        @update:model-value="form.artistId ??= null"
      />
    </div>
    <TroubleLine :words="fault" />
    <div class="buttons">
      <VBtn type="submit" class="quiet" :loading="busy" :disabled="!changed">Name them</VBtn>
    </div>
  </OpenForm>
</template>
