import { computed, type Ref } from 'vue'
import { setupInForce } from '#core/edition/layer'
import { recallOf } from '#core/run/recall'
import type { CardPicture } from '~/drawings/recall-pdf'
import { useEdition } from '~/stores/edition'
import { useSupplies } from '~/stores/supplies'

/** What a layer is printed again from, out of its edition and the room's stores. */
export function useRecall(layerId: Ref<string>) {
  const edition = useEdition()
  const supplies = useSupplies()
  return computed(() => {
    const state = edition.state
    const layer = state?.layers.find(({ id }) => id === layerId.value)
    if (!state || !layer) return null
    const pressId = setupInForce(layer)?.pressId
    return recallOf(state, layer.id, {
      press: supplies.presses.find(({ id }) => id === pressId) ?? null,
      batches: supplies.batches,
      blocks: supplies.blocks,
    })
  })
}

/** A kept picture as a page takes it: drawn again as JPEG, no larger than a card needs. */
export async function cardPicture(pictureId: string): Promise<CardPicture> {
  const image = await createImageBitmap(await (await fetch(`/api/pictures/${pictureId}`)).blob())
  const scale = Math.min(1, 1000 / Math.max(image.width, image.height))
  const [width, height] = [Math.round(image.width * scale), Math.round(image.height * scale)]
  const canvas = new OffscreenCanvas(width, height)
  const pen = canvas.getContext('2d')!
  pen.fillStyle = '#fff'
  pen.fillRect(0, 0, width, height)
  pen.drawImage(image, 0, 0, width, height)
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 })
  return { data: new Uint8Array(await blob.arrayBuffer()), width, height }
}
