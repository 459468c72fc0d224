<script setup lang="ts">
/** Read a colour from a picture of a draw-down card: the mean of a small square where one clicks, or of its middle by key. */
const emit = defineEmits<{ picked: [hex: string]; close: [] }>()
const canvas = ref<HTMLCanvasElement | null>(null)
const trouble = ref('')
const shown = ref(false)
const at = ref({ x: 0.5, y: 0.5 })
const longest = 900

async function open([file]: File[]) {
  if (!file) return
  trouble.value = ''
  try {
    const picture = await createImageBitmap(file)
    const scale = Math.min(1, longest / Math.max(picture.width, picture.height))
    shown.value = true
    await nextTick()
    canvas.value!.width = Math.round(picture.width * scale)
    canvas.value!.height = Math.round(picture.height * scale)
    canvas
      .value!.getContext('2d', { willReadFrequently: true })!
      .drawImage(picture, 0, 0, canvas.value!.width, canvas.value!.height)
  } catch {
    shown.value = false
    trouble.value = `“${file.name}” is no picture this browser can read. Choose a JPEG, PNG or WebP. Nothing else was changed.`
  }
}

function read(x: number, y: number) {
  const { width, height } = canvas.value!
  const side = 9
  const left = Math.min(width - side, Math.max(0, Math.round(x * width - side / 2)))
  const top = Math.min(height - side, Math.max(0, Math.round(y * height - side / 2)))
  const { data } = canvas.value!.getContext('2d')!.getImageData(left, top, side, side)
  const mean = [0, 1, 2].map((part) =>
    Math.round(
      Array.from({ length: data.length / 4 }, (_, i) => data[i * 4 + part]!).reduce((a, b) => a + b) /
        (data.length / 4),
    ),
  )
  emit('picked', `#${mean.map((part) => part.toString(16).padStart(2, '0')).join('')}`)
}

function click(event: MouseEvent) {
  read(event.offsetX / canvas.value!.clientWidth, event.offsetY / canvas.value!.clientHeight)
}
</script>

<template>
  <div class="picker">
    <FileChoice label="A picture of the card, in even daylight" accept="image/*" @chosen="open" />
    <TroubleLine :words="trouble" />
    <template v-if="shown">
      <p class="soft">Click where the colour is even, or set the place and press Take.</p>
      <canvas ref="canvas" @click="click" />
      <div class="place">
        <label>across <input v-model.number="at.x" type="range" min="0" max="1" step="0.01" /></label
        ><label>down <input v-model.number="at.y" type="range" min="0" max="1" step="0.01" /></label
        ><VBtn class="quiet" @click="read(at.x, at.y)">Take</VBtn>
      </div>
    </template>
    <div class="buttons"><VBtn class="quiet" @click="emit('close')">Leave the picture</VBtn></div>
  </div>
</template>

<style scoped>
.picker {
  border-top: 1px dotted var(--rule);
  margin-top: 14px;
  padding-top: 12px;
}
canvas {
  max-width: 100%;
  max-height: 340px;
  cursor: crosshair;
  display: block;
  margin: 8px 0;
}
.place {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
  align-items: center;
  font-size: 0.86rem;
}
</style>
