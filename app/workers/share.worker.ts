import { type Area, type Grey, greyOf, histogram, inkedShare, otsu } from '#core/ink/inked-share'

/** Asked once with the picture, then again and again with what is masked, the threshold and which tone is inked. */
export type ShareAsked = { picture: ImageBitmap } | { masked: Area[]; threshold: number | null; light: boolean }
export interface ShareFound {
  share: number
  threshold: number
}

let grey: Grey | null = null

addEventListener('message', ({ data }: MessageEvent<ShareAsked>) => {
  if ('picture' in data) {
    const { width, height } = data.picture
    const canvas = new OffscreenCanvas(width, height)
    const context = canvas.getContext('2d', { willReadFrequently: true })!
    context.drawImage(data.picture, 0, 0)
    data.picture.close()
    grey = greyOf(context.getImageData(0, 0, width, height).data, width, height)
    return
  }
  if (!grey) return
  const counts = histogram(grey, data.masked)
  const threshold = data.threshold ?? otsu(counts)
  postMessage({
    share: inkedShare(counts, grey.width * grey.height, threshold, data.light),
    threshold,
  } satisfies ShareFound)
})
