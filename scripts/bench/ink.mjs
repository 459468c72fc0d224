import { chromium } from '@playwright/test'
import { args } from './page.mjs'
import { bundled } from './planning.mjs'

/** Milliseconds in the browser: a swatch while a share is dragged, all orders of seven layers, a match of 24 tubs, a picture's share. */
export async function measureInk() {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args })
  const page = await browser.newPage()
  await page.goto('about:blank')
  await page.addScriptTag({ content: await bundled('./ink-models.ts') })
  const measured = await page.evaluate(() => {
    const {
      hexOf,
      labOfHex,
      greyOf,
      histogram,
      inkedShare,
      otsu,
      film,
      matchColour,
      rankOrders,
      starterInks,
      reflectanceOf,
      mixFrom,
    } = window.models
    const time = (act) => {
      const began = performance.now()
      act()
      return performance.now() - began
    }
    const paper = reflectanceOf('#efe3c4')
    const shelf = { tubs: new Map(starterInks.map((ink) => [ink.name, { ...ink, card: null }])), batches: new Map() }
    const names = ['transparent base', 'clear blue', 'hiding white', 'rose', 'earth yellow']
    const strokes = Array.from({ length: 200 }, (_, i) =>
      time(() => {
        const { pigment } = mixFrom(
          names.map((name, j) => ({
            tubId: name,
            batchId: null,
            name,
            milligrams: 1000 + ((i * 37 + j * 911) % 5000),
          })),
          shelf,
        )
        for (let thickness = 1; thickness <= 15; thickness++) hexOf(film(paper, pigment, thickness))
      }),
    ).sort((a, b) => a - b)
    const films = starterInks.slice(0, 7).map((ink) => ({ pigment: ink.pigment, thickness: 8 }))
    const wishes = Array.from({ length: 12 }, (_, i) => ({
      layers: 127 - i * 5,
      keep: 'colour',
      colour: labOfHex('#88aa99'),
    }))
    const tubs = Array.from({ length: 24 }, (_, i) => {
      const ink = starterInks[i % starterInks.length]
      return { tinting: ink.tinting, pigment: { k: ink.pigment.k.map((k) => k * (1 + i / 60)), s: ink.pigment.s } }
    })
    const rgba = new Uint8ClampedArray(4000 * 3000 * 4)
    for (let i = 0; i < rgba.length; i++) rgba[i] = i % 4 === 3 ? 255 : (i * 2654435761) >>> 24
    return {
      swatch: strokes[Math.floor(strokes.length * 0.95)],
      orders: time(() => rankOrders(paper, paper, films, wishes)),
      match: Math.max(
        ...['#7a8f6a', '#ff2200', '#c0a0d0', '#20242c'].map((hex) =>
          time(() => matchColour(labOfHex(hex), paper, 8, tubs)),
        ),
      ),
      share: time(() => {
        const grey = greyOf(rgba, 4000, 3000)
        const counts = histogram(grey, [{ left: 0.1, top: 0.1, width: 0.3, height: 0.2 }])
        inkedShare(counts, 12_000_000, otsu(counts))
      }),
    }
  })
  await browser.close()
  return measured
}
