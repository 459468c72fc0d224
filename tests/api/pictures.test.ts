import { v7 } from 'uuid'
import { readdirSync } from 'node:fs'
import { type ClientRequest, request } from 'node:http'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import type { PictureReply } from '#shared/replies/replies'
import { Client } from '../fixtures/client'
import { Server } from '../fixtures/server'

let server: Server
let client: Client
beforeAll(async () => {
  server = await Server.start()
  client = await new Client(server.url).setUp()
})
afterAll(() => server.stop())

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#8a5800' } })
const png = (width: number, height: number) => plain(width, height).png().toBuffer()

async function send(
  bytes: Buffer | Uint8Array,
  cookie = client.cookie,
): Promise<{ status: number; body: PictureReply & { code?: string; message?: string } }> {
  const answer = await fetch(`${server.url}/api/pictures`, {
    method: 'POST',
    headers: { cookie, origin: server.url, 'content-type': 'application/octet-stream' },
    body: new Uint8Array(bytes),
  })
  return { status: answer.status, body: (await answer.json()) as PictureReply }
}
const get = (id: string) => fetch(`${server.url}/api/pictures/${id}`, { headers: { cookie: client.cookie } })

describe('a picture of a block', () => {
  it('is shrunk, named by what is in it, and kept once', async () => {
    const { status, body } = await send(await png(4800, 1200))
    expect(status).toBe(200)
    expect(body).toMatchObject({ width: 2400, height: 600 })
    expect(body.id).toMatch(/^[0-9a-f]{64}$/)
    expect((await send(await png(4800, 1200))).body.id).toBe(body.id)
    expect(readdirSync(join(server.folder, 'pictures')).filter((file) => file.startsWith(body.id))).toHaveLength(1)
    const answer = await get(body.id)
    expect(answer.headers.get('content-type')).toBe('image/webp')
    expect(answer.headers.get('cache-control')).toContain('immutable')
    expect(await sharp(Buffer.from(await answer.arrayBuffer())).metadata()).toMatchObject({
      format: 'webp',
      width: 2400,
    })
  })

  it('is turned upright and loses what the camera wrote into it', async () => {
    const lying = await plain(300, 200)
      .withExif({ IFD0: { Copyright: 'a name' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer()
    const { body } = await send(lying)
    expect(body).toMatchObject({ width: 200, height: 300 })
    const kept = await sharp(Buffer.from(await (await get(body.id)).arrayBuffer())).metadata()
    expect(kept.exif).toBeUndefined()
  })

  it.each([
    ['a text', Buffer.from('not a picture at all')],
    [
      'a drawing with instructions in it',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>'),
    ],
    ['half a picture', Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR4', 'base64')],
  ])('is not %s', async (_, bytes) => {
    expect(await send(bytes)).toMatchObject({
      status: 422,
      body: { code: 'no-picture', message: expect.stringContaining('Nothing was lost') },
    })
  })

  it('is not empty, not over 25 MB, and not from a stranger', async () => {
    expect((await send(Buffer.alloc(0))).body.code).toBe('no-picture')
    const large = await send(Buffer.alloc(26 * 1024 * 1024))
    expect(large).toMatchObject({ status: 413, body: { code: 'too-large', message: expect.stringContaining('26 MB') } })
    expect((await send(await png(9, 9), '')).status).toBe(401)
  })

  it('is named by an event only when it is there, and outlives a killed server', async () => {
    const { id, stream } = await client.edition(2)
    const block = {
      name: 'key block',
      kind: 'wood',
      width: 200,
      height: 150,
      thickness: 23,
      image: { left: 5, top: 5, width: 190, height: 140 },
      rotation: 0,
      removed: '',
      transfer: 'film',
      note: '',
    }
    await client.give(stream, 'prepare-block', { blockId: v7(), block })
    const blockId = (await client.read(id)).state.blocks[0]!.id
    const state = (pictureId: string) => ({ blockId, name: 'first state', cutOn: '2026-11-02', note: '', pictureId })
    expect((await client.give(stream, 'record-block-state', state('0'.repeat(64)))).body.code).toBe('unknown-picture')
    const { body } = await send(await png(40, 30))
    const port = server.port
    const { folder } = server
    expect((await client.give(stream, 'record-block-state', state(body.id))).status).toBe(200)
    await server.stop('SIGKILL')
    server = await Server.start({ folder, port })
    expect((await client.read(id)).state.blocks[0]!.states[0]).toMatchObject({
      name: 'first state',
      pictureId: body.id,
    })
    expect((await get(body.id)).status).toBe(200)
    expect((await get('1'.repeat(64))).status).toBe(404)
    expect((await get('..%2Fledger.sqlite')).status).toBe(404)
  })
})

describe('pictures that come in', () => {
  const noise = (side: number) =>
    sharp(Buffer.from(Uint8Array.from({ length: side * side * 3 }, (_, i) => (i * 7919 + (i >> 5) * 104729) & 255)), {
      raw: { width: side, height: side, channels: 3 },
    })
      .png()
      .toBuffer()

  it('have no room left: nothing is kept, nothing half written lies about, and it is said', async () => {
    const tight = await Server.start({ largestFile: 512 })
    const there = await new Client(tight.url).setUp()
    const hand = async (bytes: Buffer) =>
      await fetch(`${tight.url}/api/pictures`, {
        method: 'POST',
        headers: { cookie: there.cookie, origin: tight.url, 'content-type': 'application/octet-stream' },
        body: new Uint8Array(bytes),
      })
    const answer = await hand(await noise(1600))
    expect([answer.status, ((await answer.json()) as { code: string }).code]).toEqual([507, 'disk-full'])
    expect(readdirSync(join(tight.folder, 'pictures'))).toEqual([])
    expect((await hand(await png(40, 30))).status).toBe(200)
    await tight.stop()
  })

  it('are at most four of one person at once, and none is read that may not come in', async () => {
    const half = () =>
      new Promise<ClientRequest>((resolve) => {
        const asked = request(`${server.url}/api/pictures`, {
          method: 'POST',
          headers: {
            cookie: client.cookie,
            origin: server.url,
            'content-type': 'application/octet-stream',
            'content-length': 1000,
          },
        })
        asked.on('error', () => undefined)
        asked.write('half', () => resolve(asked))
      })
    const hanging = await Promise.all([half(), half(), half(), half()])
    // One that whole pictures were quicker than is turned away itself: another takes its place.
    await vi.waitFor(async () => {
      const { code } = (await send(await png(9, 9))).body
      if (code !== 'wait') hanging.push(await half())
      expect(code).toBe('wait')
    }, 20_000)
    const other = await client.person('Other Hand', 'member')
    expect((await send(await png(9, 9), other.cookie)).status).toBe(200)
    for (const asked of hanging) asked.destroy()
    await vi.waitFor(async () => expect((await send(await png(9, 9))).status).toBe(200), 20_000)
  })

  it('leave no file open when nobody waits for them any more', async () => {
    const { body } = await send(await noise(900))
    const before = server.handles
    for (let i = 0; i < 200; i++)
      await new Promise<void>((left) => {
        const asked = request(
          `${server.url}/api/pictures/${body.id}`,
          { headers: { cookie: client.cookie } },
          (answer) =>
            answer.once('data', () => {
              asked.destroy()
              left()
            }),
        )
        asked.on('error', () => left())
        asked.end()
      })
    await vi.waitFor(() => expect(server.handles).toBeLessThan(before + 10), 20_000)
  })
})

describe('the shop’s past', () => {
  it('moves the record an edition starts from, and can be taken out again', async () => {
    const { id } = await client.edition(3, 'Slipway')
    const before = (await client.read(id)).record.methods.find((line) => line.method === 'reduction')
    expect(before).toBeUndefined()
    const editions = [
      { title: 'Old Pier', method: 'reduction', work: 'press', passed: 96, rejected: 4, finished: 30, lost: 1 },
    ]
    expect((await client.give('studio', 'add-past-editions', { editions })).status).toBe(200)
    expect((await client.give('studio', 'add-past-editions', { editions })).body.code).toBe('already-there')
    expect((await client.read(id)).record.methods.find((line) => line.method === 'reduction')?.passes).toEqual({
      passed: 96,
      rejected: 4,
    })
    const { body } = await client.send<{ pastEditions: { id: string }[] }>('GET', '/api/past-editions')
    expect(
      (await client.give('studio', 'withdraw-past-edition', { id: body.pastEditions[0]!.id, reason: '' })).body.code,
    ).toBe('reason-missing')
    await client.give('studio', 'withdraw-past-edition', { id: body.pastEditions[0]!.id, reason: 'another room' })
    expect((await client.read(id)).record.methods.find((line) => line.method === 'reduction')).toBeUndefined()
  })

  it('counts the pulls of other editions, never one’s own', async () => {
    const [one, two] = [await client.edition(4, 'One'), await client.edition(4, 'Two')]
    const counted = async (id: string) => {
      const line = (await client.read(id)).record.methods.find((known) => known.method === 'single')
      return (line?.passes.passed ?? 0) + (line?.passes.rejected ?? 0)
    }
    const [ownBefore, otherBefore] = [await counted(one.id), await counted(two.id)]
    for (const sheet of [1, 2, 3]) await client.give(one.stream, 'pull', client.pull(one.layerId, sheet))
    expect(await counted(one.id)).toBe(ownBefore)
    expect(await counted(two.id)).toBe(otherBefore + 3)
  })
})
