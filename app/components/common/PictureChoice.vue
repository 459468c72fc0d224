<script setup lang="ts">
/** A picture from camera or file, handed in as soon as it is chosen. */
const props = defineProps<{ what: string }>()
const pictureId = defineModel<string | null>({ required: true })
const { busy, fault, giving } = useGiving()

const choose = ([file]: File[]) =>
  giving(async () => {
    pictureId.value = (await sendPicture(file!)).id
  })
</script>

<template>
  <div class="choice">
    <img v-if="pictureId" :src="`/api/pictures/${pictureId}`" :alt="props.what" />
    <FileChoice
      :label="`${pictureId ? 'Another picture' : 'A picture'} of ${what}`"
      accept="image/*"
      @chosen="choose"
    />
    <button v-if="pictureId" type="button" @click="pictureId = null">Without it</button>
    <p v-if="busy" class="soft" role="status">The picture is handed in …</p>
    <TroubleLine :words="fault" />
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  font-size: 0.9rem;
}
img {
  height: 64px;
  border: 1px solid var(--rule);
}
button {
  color: var(--green);
  text-decoration: underline;
  min-height: 28px;
}
</style>
