<script setup lang="ts">
import type { Block } from '#core/edition/state'
import { percent } from '~/drawings/words'
import type { ShareFound } from '~/workers/share.worker'

/** How much of a block carries ink, read from its picture beside the page, or typed. */
const props = defineProps<{ block: Block }>()
const emit = defineEmits<{ done: [] }>()
const edition = useEdition()
const { busy, fault, giving, refuse } = useGiving()
const pictures = computed(() =>
  props.block.states
    .filter((state) => state.pictureId !== null)
    .map((state) => ({ value: state.pictureId!, title: state.name })),
)
const pictureId = ref(props.block.inkedShare?.reading?.pictureId ?? pictures.value.at(-1)?.value ?? '')
const kept = props.block.inkedShare?.reading?.pictureId === pictureId.value ? props.block.inkedShare.reading : null
const masked = ref([...(kept?.masked ?? [])])
const threshold = ref<number | null>(kept?.threshold ?? null)
const light = ref(kept?.lightInked ?? false)
const found = ref<ShareFound | null>(null)
const typed = ref('')
const canvas = ref<HTMLCanvasElement | null>(null)
const trouble = ref('')
let worker: Worker | null = null
let picture: ImageBitmap | null = null
onUnmounted(() => worker?.terminate())
onMounted(open)

async function open() {
  found.value = null
  trouble.value = ''
  if (!pictureId.value) return
  try {
    const answer = await fetch(`/api/pictures/${pictureId.value}`)
    if (!answer.ok) throw new Error('The picture is not there any more.')
    const bytes = await answer.blob()
    picture = await createImageBitmap(bytes)
    worker?.terminate()
    worker = new Worker(new URL('../../workers/share.worker.ts', import.meta.url), { type: 'module' })
    worker.addEventListener('message', ({ data }: MessageEvent<ShareFound>) => {
      found.value = data
      draw()
    })
    const copy = await createImageBitmap(bytes)
    worker.postMessage({ picture: copy }, [copy])
    ask()
  } catch (error) {
    trouble.value = `${wordsOf(error)} Type the share, or record a state with another picture.`
  }
}
function ask() {
  worker?.postMessage({
    masked: JSON.parse(JSON.stringify(masked.value)) as typeof masked.value,
    threshold: threshold.value,
    light: light.value,
  })
}
watch([masked, threshold, light], ask, { deep: true })

/** The picture as it is parted: what counts as inked in ink, the rest as paper, what is cut away hatched out. */
function draw() {
  if (!canvas.value || !picture || !found.value) return
  const scale = Math.min(1, 520 / picture.width)
  const width = (canvas.value.width = Math.round(picture.width * scale))
  const height = (canvas.value.height = Math.round(picture.height * scale))
  const context = canvas.value.getContext('2d', { willReadFrequently: true })!
  context.drawImage(picture, 0, 0, width, height)
  const shown = context.getImageData(0, 0, width, height)
  for (let i = 0; i < shown.data.length; i += 4) {
    const luma = (54 * shown.data[i]! + 183 * shown.data[i + 1]! + 19 * shown.data[i + 2]!) >> 8
    shown.data.set(luma < found.value.threshold !== light.value ? [29, 33, 38, 255] : [251, 249, 243, 255], i)
  }
  context.putImageData(shown, 0, 0)
  context.fillStyle = 'rgba(163, 52, 31, 0.35)'
  for (const area of masked.value)
    context.fillRect(area.left * width, area.top * height, area.width * width, area.height * height)
}
let from: { x: number; y: number } | null = null
const place = (event: PointerEvent) => ({
  x: Math.min(1, Math.max(0, event.offsetX / canvas.value!.clientWidth)),
  y: Math.min(1, Math.max(0, event.offsetY / canvas.value!.clientHeight)),
})
function lift(event: PointerEvent) {
  if (!from) return
  const to = place(event)
  const area = {
    left: Math.min(from.x, to.x),
    top: Math.min(from.y, to.y),
    width: Math.abs(to.x - from.x),
    height: Math.abs(to.y - from.y),
  }
  from = null
  if (area.width > 0.005 && area.height > 0.005) masked.value.push(area)
}
async function keep(share: number, fromPicture: boolean) {
  if (Number.isNaN(share)) return refuse('Give the share in percent, for instance 45.')
  const reading =
    fromPicture && found.value
      ? { pictureId: pictureId.value, threshold: found.value.threshold, lightInked: light.value, masked: masked.value }
      : null
  if (await giving(() => edition.give('set-inked-share', { blockId: props.block.id, share, reading }))) emit('done')
}

function openAnother() {
  masked.value = []
  threshold.value = null
  void open()
}
</script>

<template>
  <div>
    <template v-if="pictures.length > 0">
      <div class="fields">
        <VSelect
          v-model="pictureId"
          class="wide"
          label="Picture of the block"
          :items="pictures"
          @update:model-value="openAnother"
        /><VCheckbox v-model="light" class="wide" label="the light parts are inked" />
      </div>
      <TroubleLine :words="trouble" />
      <template v-if="found">
        <p class="share">
          <b>{{ percent(found.share) }}</b> of the block carries ink. Dark here is inked; drag over what is cut away
          though it looks dark.
        </p>
        <canvas ref="canvas" @vue:mounted="draw" @pointerdown="from = place($event)" @pointerup="lift" />
        <div class="fields">
          <label class="soft"
            >parted at {{ found.threshold }} of 255
            <input
              :value="found.threshold"
              type="range"
              min="1"
              max="254"
              aria-label="Where dark is parted from light"
              @input="threshold = Number(($event.target as HTMLInputElement).value)"
          /></label>
        </div>
        <div class="buttons">
          <VBtn :loading="busy" @click="keep(found.share, true)">Keep {{ percent(found.share) }}</VBtn
          ><VBtn class="quiet" :disabled="threshold === null" @click="threshold = null">Part it by itself</VBtn
          ><VBtn class="quiet" :disabled="masked.length === 0" @click="masked.pop()">Undo the last mask</VBtn>
        </div>
      </template>
    </template>
    <p v-else class="soft">Record a state with a picture, and the share is read from it. Or type it:</p>
    <form class="fields typed" @submit.prevent="keep(typedNumber(typed) / 100, false)">
      <VTextField v-model="typed" label="Inked share, by eye" inputmode="decimal" suffix="%" /><VBtn
        type="submit"
        class="quiet"
        :loading="busy"
        >Keep the typed share</VBtn
      >
    </form>
    <TroubleLine :words="fault" />
  </div>
</template>

<style scoped>
.share b {
  font-family: var(--serif);
  font-size: 1.5rem;
}
canvas {
  max-width: 100%;
  display: block;
  margin: 8px 0;
  cursor: crosshair;
  border: 1px solid var(--rule);
  touch-action: none;
}
label {
  display: grid;
  font-size: 0.84rem;
}
input[type='range'] {
  accent-color: var(--green);
  min-height: 30px;
}
.typed {
  margin-top: 16px;
  align-items: end;
}
</style>
