import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, describe, expect, it } from 'vitest'
import { newFolder, Server } from '../fixtures/server'

const running: Server[] = []
afterEach(() => Promise.all(running.splice(0).map((server) => server.stop('SIGKILL'))))

/** Starts, leaves by itself, and says one line that tells what to do. */
async function refuses(options: Parameters<typeof Server.spawn>[0], words: RegExp): Promise<void> {
  const server = await Server.spawn(options)
  running.push(server)
  expect(await server.exit()).toBe(1)
  const said = server.log().trim()
  expect(said).toMatch(words)
  expect(said).not.toMatch(/^\s+at /m)
}

describe('a start', () => {
  it('makes no room of a slip of the pen, and one where that was said', async () => {
    const folder = join(newFolder(), 'presroom')
    await refuses({ folder }, /There is no folder .*presroom.*--new/)
    const server = await Server.start({ folder, env: { AMPLE_TALLY_NEW: '1' } })
    running.push(server)
    expect(readdirSync(folder)).toContain('ledger.sqlite')
  })

  it.each([
    ['an empty name', () => ' ', /names no folder/],
    ['a file', () => fileIn(newFolder()), /is a file/],
    ['a folder in a file', () => join(fileIn(newFolder()), 'room'), /is a file, or lies in one|There is no folder/],
  ])('refuses %s', async (_, folder, words) => {
    await refuses({ folder: folder(), env: { AMPLE_TALLY_NEW: '1' } }, words)
  })

  it('says when its port is taken, also without the start script', async () => {
    const first = await Server.start()
    running.push(first)
    await refuses({ port: first.port }, /Port \d+ is in use/)
  })

  it('says when a certificate cannot be read', async () => {
    const env = { NITRO_SSL_CERT: '-----BEGIN CERTIFICATE-----\nnone\n', NITRO_SSL_KEY: 'none' }
    await refuses({ env }, /certificate in NITRO_SSL_CERT/)
  })

  it('stops when its ledger was emptied', async () => {
    const folder = newFolder()
    const first = await Server.start({ folder })
    await first.stop()
    for (const name of readdirSync(folder)) if (name.startsWith('ledger.sqlite')) rmSync(join(folder, name))
    writeFileSync(join(folder, 'ledger.sqlite'), '')
    mkdirSync(join(folder, 'pictures'), { recursive: true })
    await refuses({ folder }, /is empty, though this folder has held a pressroom/)
  })
})

function fileIn(folder: string): string {
  const file = join(folder, 'room.txt')
  writeFileSync(file, 'not a folder')
  return file
}

it('a stop is done within five seconds, with streams open and requests half sent', async () => {
  const server = await Server.start({ demo: true })
  running.push(server)
  const session = await fetch(`${server.url}/api/session`)
  const cookie = session.headers
    .getSetCookie()
    .map((set) => set.split(';')[0])
    .join('; ')
  const streams = await Promise.all([1, 2, 3].map(() => fetch(`${server.url}/api/live`, { headers: { cookie } })))
  const { connect } = await import('node:net')
  const half = connect(server.port, '127.0.0.1', () =>
    half.write('POST /api/commands HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 5000\r\n\r\n{"half'),
  )
  half.on('error', () => undefined)
  await new Promise((resolve) => setTimeout(resolve, 300))
  const began = Date.now()
  await server.stop('SIGTERM')
  expect(Date.now() - began).toBeLessThan(5_000)
  await Promise.all(streams.map((stream) => stream.body?.cancel().catch(() => undefined)))
})
