import type { Page } from '@playwright/test'
import { v7 } from 'uuid'
import { readStores } from '../fixtures/stores'
import { countOf, expect, goTo, test } from '../fixtures/browser'
import { Server } from '../fixtures/server'

const unreachable = /Failed to load resource|net::ERR_|ERR_INTERNET_DISCONNECTED/

/** Commands given by the person who is signed in on a page, as a browser sends them. */
async function giving(page: Page, url: string) {
  const { device, person } = (await (await page.request.get(`${url}/api/session`)).json()) as {
    device: string
    person: { id: string }
  }
  return async (stream: string, type: string, data: object) => {
    const commandId = v7()
    const command = { commandId, device: `${device}~setup`, by: person.id, occurredAt: new Date().toISOString() }
    const answer = await page.request.post(`${url}/api/commands`, {
      data: { ...command, type, stream, data },
      headers: { origin: url },
    })
    expect(answer.ok(), await answer.text()).toBe(true)
    return commandId
  }
}

/** A reduction of twelve in three layers, twenty-four sheets torn for it. */
async function threeLayers(page: Page, url: string): Promise<{ id: string; layers: string[] }> {
  await page.goto(url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  const read = async <Reply>(path: string) => (await (await page.request.get(`${url}${path}`)).json()) as Reply
  const { editions } = await read<{ editions: { id: string }[] }>('/api/editions?search=Net%20Loft')
  const { state } = await read<{ state: { plan: object } }>(`/api/editions/${editions[0]!.id}`)
  const { lots } = await readStores(read)
  const give = await giving(page, url)
  const id = v7()
  const stream = `edition:${id}`
  const plan = {
    ...state.plan,
    size: 12,
    proofs: { AP: 0, PP: 0, HC: 0 },
    layersPlanned: 3,
    layering: 'ahead',
    start: 24,
    due: null,
  }
  await give(stream, 'start-edition', { title: 'Gull Steps', plan })
  const lot = lots.find(({ left, use }) => left > 4 && use === 'edition')!
  const tear = { lotId: lot.id, lotSheets: 2, count: 24, images: 1, wrong: 0, reason: '', width: 200, height: 150 }
  await give(stream, 'tear', { ...tear, rationId: null, offcuts: [] })
  const begun = await read<{ state: { layers: { id: string }[] } }>(`/api/editions/${id}`)
  return { id, layers: begun.state.layers.map((layer) => layer.id) }
}

/** How many commands of a page were stored, as far as it was told. */
function answersTo(page: Page): () => number {
  let told = 0
  page.on('requestfinished', (request) => {
    if (request.url().endsWith('/api/commands')) told += 1
  })
  return () => told
}

const strokes = (page: Page) => page.locator('.tally g.stroke')
const stored = (page: Page) => page.locator('.tally .base')

async function atLayer(page: Page, url: string, id: string, number: number): Promise<void> {
  await page.goto(`${url}/bench/${id}`)
  const layer = page.getByRole('combobox', { name: 'Layer' })
  await layer.selectOption({ index: number - 1 })
  await expect(page.getByText(`layer ${number} of 3`)).toBeVisible()
}

/** Pulls one after another, each stored before the next; without the server each only has its stroke. */
async function pull(page: Page, times: number, isStored = true): Promise<void> {
  for (let i = 0; i < times; i++) {
    const before = await strokes(page).count()
    await page.keyboard.press(' ')
    await expect.poll(() => strokes(page).count()).toBeGreaterThan(before)
    if (isStored) await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  }
}

test('a reduction of twelve in three layers at two stations, through a cut network, a killed server, two gates and wet ink', async ({
  page,
  browser,
  pressroom,
  quiet,
}) => {
  test.setTimeout(180_000)
  quiet.allow(unreachable)
  const server = await pressroom({ demo: true })
  const { url } = server
  const { id, layers } = await threeLayers(page, url)
  const context = await browser.newContext()
  quiet.watch(context)
  const other = await context.newPage()
  const [answers, answersOfOther] = [answersTo(page), answersTo(other)]

  // Layer 1: both stations at once, no sheet twice.
  await atLayer(page, url, id, 1)
  await atLayer(other, url, id, 1)
  await Promise.all([pull(page, 12), pull(other, 12)])
  await expect(stored(page)).toHaveCount(24)
  await expect(stored(other)).toHaveCount(24)

  const gate = async (next: number) => {
    await page.goto(`${url}/editions/${id}/gate?layer=${layers[next - 2]}`)
    await expect(page.getByText(/^It may be cut: /)).toBeVisible()
    await page.getByRole('button', { name: /^Yes, it is cut/ }).click()
    await expect(page.getByText('The block is cut further: this layer takes no more pulls.')).toBeVisible()
    await page.getByRole('link', { name: 'To the bench' }).click()
    await page.getByRole('combobox', { name: 'Layer' }).selectOption({ index: next - 1 })
    await expect(
      page.getByText(/Nobody has said the layer beneath is dry\. Not yet: fit to print on from/),
    ).toBeVisible()
    await expect(page.getByRole('button', { name: /^Good/ })).toBeDisabled()
    await page.getByRole('link', { name: 'Gull Steps' }).click()
    await goTo(page, /^Dry/)
    await page
      .getByRole('group', { name: 'Layer' })
      .getByRole('button')
      .nth(next - 2)
      .click()
    await page.getByRole('button', { name: /^Declare \d+ sheets dry/ }).click()
    await expect(page.getByText('Every sheet of this layer is declared dry.')).toBeVisible()
  }
  await gate(2)

  // Layer 2: the other station loses the network in mid-run; what it pulls waits in sight and goes in when it is back.
  await atLayer(page, url, id, 2)
  await atLayer(other, url, id, 2)
  await pull(other, 1)
  await expect(stored(other)).toHaveCount(1)
  await context.setOffline(true)
  await pull(other, 2, false)
  await expect(other.getByText('2 taps not stored yet')).toBeVisible()
  await pull(page, 5)
  await expect(stored(page)).toHaveCount(6)
  await context.setOffline(false)
  await expect(stored(page)).toHaveCount(8, { timeout: 30_000 })

  // The server is killed; the taps of both stations wait, and are stored when it is started again.
  const [before, beforeOther] = [answers(), answersOfOther()]
  await server.stop('SIGKILL')
  await pull(page, 2, false)
  await pull(other, 2, false)
  await expect(page.getByText('2 taps not stored yet')).toBeVisible()
  const again = await Server.start({ folder: server.folder, port: server.port, demo: true })
  await expect(stored(page)).toHaveCount(12, { timeout: 40_000 })
  await expect(stored(other)).toHaveCount(12, { timeout: 40_000 })
  // A server that starts has forgotten which sheets are kept for whom: the answers say it anew.
  await expect.poll(answers).toBeGreaterThanOrEqual(before + 2)
  await expect.poll(answersOfOther).toBeGreaterThanOrEqual(beforeOther + 2)
  await Promise.all([pull(page, 6), pull(other, 6)])
  await expect(stored(page)).toHaveCount(24)
  await gate(3)

  // Layer 3, one of them a reject.
  await atLayer(page, url, id, 3)
  await pull(page, 23)
  await page.keyboard.press('r')
  await expect(stored(page)).toHaveCount(24)
  await page.getByRole('link', { name: 'Gull Steps' }).click()
  await expect(page.getByText('balances')).toBeVisible()
  await expect(countOf(page, 'good')).toHaveText('23')
  const { state } = (await (await page.request.get(`${url}/api/editions/${id}`)).json()) as {
    state: { pulls: { disputed: unknown; sheetIds: number[]; layerId: string }[] }
  }
  expect(state.pulls).toHaveLength(72)
  expect(state.pulls.filter(({ disputed }) => disputed)).toEqual([])
  expect(new Set(state.pulls.map(({ sheetIds, layerId }) => `${layerId} ${sheetIds[0]}`)).size).toBe(72)
  await context.close()
  await again.stop('SIGKILL')
})
