import { chromium } from '@playwright/test'
import { args } from './page.mjs'
import { bundled } from './planning.mjs'
import { median, startServer } from './server.mjs'

/** Milliseconds in the browser: cards from 40 kinds, the finder over 10,000 trials, the drift limit of 199 planned shares. */
async function measureModels(browser) {
  const page = await browser.newPage()
  await page.goto('about:blank')
  await page.addScriptTag({ content: await bundled('./press-models.ts') })
  const measured = await page.evaluate(() => {
    const { driftDesign, findCause, trialsOf, nearestCards, together } = window.models
    const time = (act) => {
      const began = performance.now()
      act()
      return performance.now() - began
    }
    const drawer = Array.from({ length: 40 }, (_, i) => ({
      id: `c${i}`,
      name: `card ${i}`,
      thickness: Math.round((0.08 + ((i * 37) % 61) * 0.031) * 100) / 100,
      count: 1 + (i % 4),
    }))
    const cards = Array.from({ length: 60 }, (_, i) => time(() => nearestCards(drawer, 0.37 + i * 0.61)))
    const pulls = Array.from({ length: 10_020 }, (_, i) => ({
      pullId: `p${i}`,
      layerId: 'l',
      kind: 'pull',
      voided: false,
      disputed: null,
      faults: i % 3 === 0 ? ['salt'] : [],
    }))
    const remedies = ['one more pass', 'recharge sooner', 'one card more', 'damp the paper']
    const trials = Array.from({ length: 10_000 }, (_, i) => ({
      id: `t${i}`,
      layerId: 'l',
      fault: 'salt',
      remedy: remedies[i % 4],
      afterPull: i + 10,
    }))
    const situation = {
      family: 'oil',
      byHand: false,
      damp: false,
      block: 'wood',
      pulls: 20,
      sinceWash: 20,
      layer: 1,
      isStaying: true,
    }
    const finder = Array.from({ length: 9 }, () =>
      time(() => findCause('salt', situation, together({}, trialsOf({ pulls, trials })))),
    )
    const drift = Array.from({ length: 199 }, (_, i) => time(() => driftDesign((i + 1) / 200)))
    return { drift: Math.max(...drift), cards: Math.max(...cards), finder: finder.sort((a, b) => a - b)[4] }
  })
  await page.close()
  return measured
}

/** An edition of the demo with 60 judged proofs, each with a picture. */
async function proved(page, url) {
  const { editions } = await page.request.get(`${url}/api/editions?search=Slack`).then((answer) => answer.json())
  const id = editions[0].id
  const { state } = await page.request.get(`${url}/api/editions/${id}`).then((answer) => answer.json())
  const picture = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(1200, 900)
    canvas.getContext('2d').fillRect(200, 200, 700, 400)
    const body = await canvas.convertToBlob({ type: 'image/png' })
    const answer = await fetch('/api/pictures', {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body,
    })
    return (await answer.json()).id
  })
  const { device, person } = await page.request.get(`${url}/api/session`).then((answer) => answer.json())
  let n = 0
  const give = async (type, data) => {
    const commandId = `00000000-0000-7000-8000-${String(++n).padStart(12, '0')}`
    const occurredAt = new Date().toISOString()
    const command = {
      commandId,
      device: `${device}~bench`,
      by: person.id,
      occurredAt,
      type,
      stream: `edition:${id}`,
      data,
    }
    const answer = await page.request.post(`${url}/api/commands`, { data: command, headers: { origin: url } })
    if (!answer.ok()) throw new Error(await answer.text())
    return commandId
  }
  const proof = {
    layerId: state.layers[0].id,
    kind: 'proof',
    proofKind: 'WP',
    verdict: 'good',
    sheetIds: [],
    faults: [],
    rescued: null,
    wetOnWet: false,
    setupSeq: 0,
    batchIds: [],
  }
  for (let i = 0; i < 60; i++) {
    const pullId = await give('pull', proof)
    const said = { pullId, pressure: (i % 5) - 2, ink: ((i * 3) % 5) - 2, charges: 1 + (i % 3), passes: 2 }
    await give('judge-proof', { ...said, newsprint: true, pictureId: picture, note: '' })
  }
  return id
}

/** From the touch on another layer's name back to this one, until all 60 proofs stand in the page; median of seven. */
async function measureProofs(page, url) {
  const id = await proved(page, url)
  await page.goto(`${url}/editions/${id}/prove`)
  await page.locator('.path > li').nth(59).waitFor()
  const times = []
  for (let i = 0; i < 7; i++) {
    times.push(
      await page.evaluate(async () => {
        const [first, second] = document.querySelectorAll('[aria-label="Layer"] button, .layers button, .picker button')
        const frame = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done)))
        second.click()
        while (document.querySelectorAll('.path > li').length > 0) await frame()
        await frame()
        const began = performance.now()
        first.click()
        while (document.querySelectorAll('.path > li').length < 60) await new Promise((done) => setTimeout(done))
        await frame()
        return performance.now() - began
      }),
    )
  }
  return median(times)
}

/** From a hand turning the simulated screws until the screen shows another reading; the slowest of ten. */
async function measureGauge(page, url) {
  const { editions } = await page.request.get(`${url}/api/editions?search=Stairs`).then((answer) => answer.json())
  await page.goto(`${url}/editions/${editions[0].id}/press`)
  await page.getByRole('button', { name: 'Watch the gauge while turning' }).click()
  await page.getByRole('group', { name: 'The hand at the press, simulated' }).waitFor()
  const times = []
  for (let i = 0; i < 10; i++) {
    times.push(
      await page.evaluate(
        async (up) => {
          const hand = [...document.querySelectorAll('.hand button')]
          const shown = document.querySelector('.screws figcaption')
          const reading = () => shown.innerText.split('\n')[1]
          const before = reading()
          const began = performance.now()
          hand[up ? 0 : 1].click()
          while (reading() === before) await new Promise((done) => setTimeout(done, 4))
          const took = performance.now() - began
          hand[4].click()
          await new Promise((done) => setTimeout(done, 300))
          return took
        },
        i % 2 === 0,
      ),
    )
  }
  return Math.max(...times)
}

/** What is measured at the press, at the proofs and in the finder. */
export async function measurePress(folder) {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args })
  const models = await measureModels(browser)
  const server = await startServer(folder, true)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(server.url)
  await page.getByRole('heading', { name: 'At the presses' }).waitFor()
  const proofs = await measureProofs(page, server.url)
  const gauge = await measureGauge(page, server.url)
  await browser.close()
  await server.stop()
  return { ...models, proofs, gauge }
}
