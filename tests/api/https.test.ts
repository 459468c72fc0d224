import { type ChildProcess, spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { createServer, get } from 'node:https'
import { type AddressInfo } from 'node:net'
import { join } from 'node:path'
import { connect, type PeerCertificate } from 'node:tls'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { fingerprintOf, renewing, serverCertificate } from '../../scripts/https.mjs'
import { freePair, newFolder } from '../fixtures/server'

const authorityIn = (folder: string) => readFileSync(join(folder, 'authority.pem'), 'utf8')

/** What the server on that port shows to somebody who trusts the room’s authority alone. */
function shown(port: number, ca: string, servername = 'localhost'): Promise<PeerCertificate> {
  return new Promise((resolve, reject) => {
    const socket = connect({ port, host: '127.0.0.1', ca, servername }, () => {
      resolve(socket.getPeerCertificate())
      socket.end()
    })
    socket.on('error', reject)
  })
}

const day = 24 * 60 * 60_000

describe('the room’s certificate', () => {
  it('is kept from start to start, and made anew before it ends, by the same authority', async () => {
    const folder = newFolder()
    const first = await serverCertificate(folder)
    expect((await serverCertificate(folder)).cert).toBe(first.cert)
    const authority = authorityIn(folder)
    const later = await serverCertificate(folder, Date.now() + 300 * day)
    expect(later.cert).not.toBe(first.cert)
    expect(authorityIn(folder)).toBe(authority)
  })

  it('is made anew when the machine goes by another name of the local network', async () => {
    const folder = newFolder()
    const first = await serverCertificate(folder)
    vi.stubEnv('AMPLE_TALLY_HOSTS', 'pressroom.local')
    const renamed = await serverCertificate(folder)
    vi.unstubAllEnvs()
    expect(renamed.cert).not.toBe(first.cert)
    expect(renamed.dns).toContain('pressroom.local')
  })

  it('is of an authority that speaks for this house alone, and not for a name it was not made for', async () => {
    const folder = newFolder()
    vi.stubEnv('AMPLE_TALLY_HOSTS', 'pressroom.home')
    const first = await serverCertificate(folder)
    expect(first.dns).toContain('pressroom.home')
    vi.stubEnv('AMPLE_TALLY_HOSTS', 'bank.example 93.184.216.34')
    const said = vi.spyOn(console, 'warn').mockImplementation(() => undefined)
    const later = await serverCertificate(folder)
    vi.unstubAllEnvs()
    expect([later.dns, later.ip].flat()).not.toEqual(expect.arrayContaining(['bank.example']))
    expect([later.dns, later.ip].flat()).not.toEqual(expect.arrayContaining(['93.184.216.34']))
    expect(said).toHaveBeenCalledWith(expect.stringContaining('cannot be for bank.example, 93.184.216.34'))
    said.mockRestore()
    expect(await fingerprintOf(first.authority.certificate)).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/)
    // Whoever trusts the authority still trusts the server, and would trust nobody else by it.
    const server = createServer({ cert: later.cert, key: later.key }, (_, answer) => answer.end('here'))
    await new Promise<void>((listens) => server.listen(0, '127.0.0.1', listens))
    const { port } = server.address() as AddressInfo
    expect((await shown(port, authorityIn(folder))).subject).toBeDefined()
    server.close()
  })

  it('is changed under a server that runs', async () => {
    const folder = newFolder()
    let now = Date.now()
    const { cert, key } = await serverCertificate(folder)
    const timer = renewing(folder, { every: 20, clock: () => now })
    const server = createServer({ cert, key }, (_, answer) => answer.end('here'))
    await new Promise<void>((listens) => server.listen(0, '127.0.0.1', listens))
    const { port } = server.address() as AddressInfo
    const before = await shown(port, authorityIn(folder))
    now += 300 * day
    await vi.waitFor(async () => {
      // Valid from a day before that time on, so the look at it is not yet trusted here; it shows all the same.
      const after = await shown(port, authorityIn(folder)).catch((error: Error) => error.message)
      expect(after).not.toMatchObject({ serialNumber: before.serialNumber })
    }, 20_000)
    clearInterval(timer)
    server.close()
  })
})

describe('a start for the room', () => {
  let running: ChildProcess | null = null
  afterEach(() => {
    running?.kill('SIGKILL')
  })

  it('answers over HTTPS to who trusts its authority, and gives that away', async () => {
    const [port, folder] = [await freePair(), newFolder()]
    running = spawn(process.execPath, ['scripts/start.mjs', '--https', '--new'], {
      env: { ...process.env, PORT: String(port), HOST: '127.0.0.1', AMPLE_TALLY_DATA: folder },
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    let said = ''
    running.stdout!.on('data', (chunk) => (said += String(chunk)))
    running.stderr!.on('data', (chunk) => (said += String(chunk)))
    await vi.waitFor(() => expect(said).toContain(`Ample Tally: https://127.0.0.1:${port}/`), 60_000)
    const ca = authorityIn(join(folder, 'https'))
    const answer = await new Promise<{ status?: number; hsts: unknown }>((resolve, reject) =>
      get(`https://localhost:${port}/api/session`, { ca, family: 4 }, (got) => {
        got.resume()
        resolve({ status: got.statusCode, hsts: got.headers['strict-transport-security'] })
      }).on('error', reject),
    )
    expect(answer).toEqual({ status: 200, hsts: 'max-age=31536000' })
    await expect(fetch(`https://localhost:${port}/api/session`)).rejects.toThrow()
    const given = await fetch(`http://127.0.0.1:${port + 1}/authority.crt`)
    expect(await given.text()).toBe(ca)
    expect(await (await fetch(`http://127.0.0.1:${port + 1}/`)).text()).toContain('Let the device trust it')
    expect(said).toMatch(/In the room: https:\/\/.*\.local:/)
  }, 90_000)
})
