import { fileURLToPath } from 'node:url'
import { chromium } from '@playwright/test'
import { build } from 'vite'
import { args } from './page.mjs'

const at = (path) => fileURLToPath(new URL(path, import.meta.url))

/** Models bundled as the page gets them. */
export async function bundled(entry = './planning-models.ts') {
  const [{ output }] = await build({
    configFile: false,
    logLevel: 'silent',
    resolve: { alias: { '#core': at('../../core') } },
    build: { write: false, lib: { entry: at(entry), formats: ['iife'], name: 'models' } },
  })
  return output[0].code
}

/** Milliseconds in the browser: the tear plan of many sheets and pieces, and chances of 12 layers and 600 sheets. */
export async function measurePlanning() {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args })
  const page = await browser.newPage()
  await page.goto('about:blank')
  await page.addScriptTag({ content: await bundled() })
  const measured = await page.evaluate(() => {
    const { planTears, startAnswers, chanceOf, chancesBySheets, chancesUpTo } = window.models
    const none = { left: false, right: false, top: false, bottom: false }
    const time = (act) => {
      const began = performance.now()
      act()
      return performance.now() - began
    }
    const request = ([width, height, w, h, strip], sides = none, wanted = none) => ({
      sheet: { width, height, deckles: sides, allowance: 0, grain: 'width' },
      piece: { width: w, height: h, grain: 'free', deckles: wanted },
      count: 20,
      strip,
      price: 1,
      block: null,
    })
    const tear = (given, sides, wanted) => time(() => planTears(request(given, sides, wanted)))
    // Mulberry32, so that every run measures the same sheets.
    let state = 7
    const random = () => {
      state = (state + 0x6d2b79f5) | 0
      let t = Math.imul(state ^ (state >>> 15), 1 | state)
      t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
      return ((t ^ (t >>> 14)) >>> 0) / 4294967296
    }
    const half = (least, most) => Math.round((least + random() * (most - least)) * 2) / 2
    const usual = Array.from({ length: 200 }, () => [
      half(500, 1400),
      half(400, 1000),
      half(100, 500),
      half(100, 400),
      random() < 0.7 ? 15 : 0,
    ])
    const small = [
      [60, 60],
      [60, 61],
      [61, 67],
      [60.5, 63.2],
      [62, 71],
      [60, 75],
      [65, 90],
      [70, 103.5],
      [80, 81],
      [61.9125, 76.2],
      [148, 105],
    ].flatMap(([w, h]) => [
      [1400, 1000, w, h, 15],
      [1400, 1000, w, h, 0],
    ])
    const nearlySquare = Array.from({ length: 100 }, () => [
      half(1350, 1400),
      half(950, 1000),
      half(60, 90),
      half(60, 100),
      15,
    ])
    for (const given of [...usual.slice(0, 20), ...nearlySquare.slice(0, 20)]) tear(given)
    const times = usual.map((given) => tear(given)).sort((a, b) => a - b)
    const hardest = [...small, ...nearlySquare]
      .map((given) => ({ given, ms: [tear(given), tear(given), tear(given)].sort((a, b) => a - b)[1] }))
      .sort((a, b) => b.ms - a.ms)
    const all = { left: true, right: true, top: true, bottom: true }
    const wishes = [
      { ...none, bottom: true },
      { ...none, left: true },
      { ...none, bottom: true, left: true },
      { ...none, left: true, right: true },
    ]
    const square = (least) =>
      Array.from({ length: 60 }, () => {
        const side = half(least, 3 * least)
        return [
          half(700, 1400),
          half(600, 1000),
          side,
          Math.max(least, half(side - 20, side + 20)),
          random() < 0.8 ? 15 : 0,
        ]
      })
    const known = [
      [1400, 1000, 190, 185, 15],
      [1400, 1000, 200, 187, 15],
      [1000, 700, 148, 120, 15],
      [1046, 586, 248.5, 165.5, 15],
      [1400, 1000, 270, 190, 15],
    ]
    const deckled = [[...known, ...square(100)], square(60)].map((sheets) => {
      const taken = sheets
        .map((given, i) => ({ given, ms: tear(given, all, wishes[i % wishes.length]) }))
        .sort((a, b) => a.ms - b.ms)
      const at = (share) => taken[Math.min(taken.length - 1, Math.floor(share * taken.length))]
      return { middle: at(0.5).ms, usual: at(0.95).ms, most: at(1).ms, worst: at(1).given, of: taken.length }
    })
    const rate = { passed: 23, rejected: 2 }
    const finishing = { passed: 29, rejected: 1 }
    const proofs = (later) => Array.from({ length: 12 }, (_, i) => (i === 0 ? 0 : later))
    const layers = (later, waiting) => proofs(later).map((taken) => ({ waiting, proofs: taken }))
    const course = (later, waiting, printed, needed) => ({
      rate,
      layers: layers(later, waiting),
      printed,
      finishing,
      needed,
    })
    const middle = (act) => Array.from({ length: 5 }, () => time(act)).sort((a, b) => a - b)[2]
    const odds = [
      ['sheets to start, 12 layers, 600 sheets', () => chancesBySheets(course(0, 0, 0, 200), 600)],
      ['  with proofs of every later layer', () => chancesBySheets(course(2, 0, 0, 200), 600)],
      [
        '  answers and curve of such a plan, 100 prints',
        () => startAnswers({ rate, proofs: proofs(2), finishing, needed: 100 }),
      ],
      ['the chance of 600 sheets in 13 piles', () => chanceOf(course(2, 46, 48, 300))],
      ['a gate: every number of 46 sheets pulled first, 13 piles', () => chancesUpTo(course(2, 46, 48, 300), 46)],
    ].map(([what, act]) => ({ what, ms: middle(act) }))
    return {
      usual: times[Math.floor(times.length * 0.95)],
      usualMost: times.at(-1),
      hardest,
      deckled,
      odds,
    }
  })
  await browser.close()
  return measured
}
