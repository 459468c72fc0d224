import { v7 } from 'uuid'
import type { Page } from '@playwright/test'
import type { SessionReply } from '#shared/replies/replies'
import { choose, expect, test } from '../fixtures/browser'

/** Everything this browser keeps on its disk, as a student who opens its developer tools reads it. */
const onDisk = async () => {
  const names = (await indexedDB.databases()).flatMap(({ name }) => name ?? [])
  const all: unknown[] = [{ ...localStorage }, { ...sessionStorage }]
  for (const name of names) {
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      const asked = indexedDB.open(name)
      asked.onsuccess = () => resolve(asked.result)
      asked.onerror = () => reject(new Error(String(asked.error)))
    })
    for (const store of db.objectStoreNames) {
      const asked = db.transaction(store).objectStore(store).getAll()
      all.push(
        await new Promise((resolve) => {
          asked.onsuccess = () => resolve(asked.result)
        }),
      )
    }
    db.close()
  }
  return JSON.stringify(all)
}

/** Names of the pages this browser keeps for starting without the server. */
const keptPages = async () => {
  const db = await new Promise<IDBDatabase>((resolve) => {
    const asked = indexedDB.open('ample-tally')
    asked.onsuccess = () => resolve(asked.result)
  })
  const keys = await new Promise<IDBValidKey[]>((resolve) => {
    const asked = db.transaction('copies').objectStore('copies').getAllKeys()
    asked.onsuccess = () => resolve(asked.result)
  })
  db.close()
  return keys.map(String).filter((key) => key.startsWith('edition:'))
}

async function signInAs(page: Page, url: string, name: RegExp): Promise<void> {
  await page.goto(`${url}/sign-in`)
  await choose(page, 'Name', name)
  await page.getByLabel('PIN or passphrase').fill('2580')
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
}

test('whoever takes over the manager’s tablet finds nothing there to act as the manager with', async ({
  page,
  browser,
  pressroom,
  quiet,
}) => {
  // What is tried is refused, and browsers say so of each.
  quiet.allow(/Failed to load resource/)
  const server = await pressroom({ demo: true })
  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  const manager = ((await (await page.request.get(`${server.url}/api/session`)).json()) as SessionReply).person!
  const list = (await (await page.request.get(`${server.url}/api/editions?search=Harbour`)).json()) as {
    editions: { id: string }[]
  }
  const id = list.editions[0]!.id
  await page.goto(`${server.url}/bench/${id}`)
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  const strokes = page.locator('.tally .base')
  const before = await strokes.count()
  for (const key of [' ', ' ', 'd']) await page.keyboard.press(key)
  await expect(strokes).toHaveCount(before + 3)
  // Nothing that was ever a key or a seal lies on the disk once the taps are stored.
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  await expect
    .poll(async () => /"proof":"|"tapKey"|"key":"[\w-]{20}/.test(await page.evaluate(onDisk)), {
      message: 'a key or a seal lies on the disk',
    })
    .toBe(false)
  expect((await page.evaluate(onDisk)).includes(id)).toBe(true)

  // Somebody else signs in on it, with a PIN of her own. What the manager had open is not hers to read offline.
  await expect.poll(() => page.evaluate(keptPages)).toEqual([`edition:${id}`])
  await signInAs(page, server.url, /^Oona Vell/)
  await expect.poll(() => page.evaluate(keptPages)).toEqual([])

  /** She sends what she likes, from the page itself or from a browser of her own. */
  const forge = async (stream: string, type: string, data: object, on = page) =>
    await on.evaluate(
      async (command) => {
        const session = (await (await fetch('/api/session')).json()) as { device: string; tapKey: { signInId: string } }
        const answer = await fetch('/api/commands', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({
            ...command,
            device: `${session.device}~x`,
            proof: `${session.tapKey.signInId}.${'A'.repeat(43)}`,
          }),
        })
        return answer.status
      },
      { commandId: v7(), by: manager.id, occurredAt: new Date().toISOString(), stream, type, data },
    )
  const other = await browser.newContext()
  const elsewhere = await other.newPage()
  await signInAs(elsewhere, server.url, /^Oona Vell/)
  const charge = { on: '2026-12-01', what: 'credit', cents: -1_000_000, editionId: null }
  for (const on of [page, elsewhere]) {
    expect(await forge(`account:${manager.id}`, 'type-charge', charge, on)).toBe(403)
    expect(await forge('studio', 'withdraw-leave', { leaveId: 'x', reason: 'x' }, on)).toBe(403)
  }
  await other.close()

  // In Office the manager finds the sign-in that still vouches for taps on their way, and ends it.
  await signInAs(page, server.url, /^Ansa Quill/)
  await page.goto(`${server.url}/office`)
  await expect(page.getByText('signed out; taps still on their way count as theirs').first()).toBeVisible()
})
