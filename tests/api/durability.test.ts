import { afterEach, describe, expect, it, vi } from 'vitest'
import { openConnections } from '../../server/database/connections'
import { Client } from '../fixtures/client'
import { newFolder, Server } from '../fixtures/server'

let servers: Server[] = []
afterEach(async () => {
  await Promise.all(servers.map((server) => server.stop('SIGKILL')))
  servers = []
})
const start = async (options: Parameters<typeof Server.start>[0] = {}) => {
  const server = await Server.start(options)
  servers.push(server)
  return server
}

describe('a pull that was acknowledged', () => {
  it('is there exactly once after kill -9 in mid-stream, whatever is sent again', async () => {
    const folder = newFolder()
    const first = await start({ folder })
    const manager = await new Client(first.url).setUp()
    const editions = await Promise.all(Array.from({ length: 4 }, (_, i) => manager.edition(200, `Panel ${i}`)))
    const acknowledged = new Set<string>()
    const unanswered: object[] = []
    let running = true
    const stations = editions.flatMap((edition) =>
      [0, 1].map(async (half) => {
        const client = Object.assign(manager.behind(first.url), { tab: `${edition.id.slice(-12)} ${half}` })
        for (let sheet = 1 + half; sheet <= 200 && running; sheet += 2) {
          const command = client.envelope(edition.stream, 'pull', client.pull(edition.layerId, sheet))
          try {
            const { status } = await client.send('POST', '/api/commands', command)
            if (status === 200) acknowledged.add(command.commandId)
            else unanswered.push(command)
          } catch {
            unanswered.push(command)
            return
          }
        }
      }),
    )
    await vi.waitUntil(() => acknowledged.size > 20, { timeout: 20_000, interval: 5 })
    await first.stop('SIGKILL')
    running = false
    await Promise.all(stations)
    expect(acknowledged.size).toBeGreaterThan(20)
    expect(unanswered.length).toBeGreaterThan(0)

    const second = await start({ folder })
    const again = manager.behind(second.url)
    for (const command of unanswered)
      for (let time = 0; time < 2; time++) expect((await again.send('POST', '/api/commands', command)).status).toBe(200)
    const pulls = (await Promise.all(editions.map((edition) => again.read(edition.id)))).flatMap((reply) =>
      reply.state.pulls.map((pull) => pull.pullId),
    )
    const wanted = [...acknowledged, ...unanswered.map((command) => (command as { commandId: string }).commandId)]
    expect([...pulls].sort()).toEqual([...new Set(wanted)].sort())
    expect((await again.check()).breaks).toEqual([])
  })

  it('counts once when it is sent twice at the same moment', async () => {
    const client = await new Client((await start()).url).setUp()
    const { id, stream, layerId } = await client.edition(3)
    const command = client.envelope(stream, 'pull', client.pull(layerId, 1))
    const answers = await Promise.all(Array.from({ length: 6 }, () => client.send('POST', '/api/commands', command)))
    expect(answers.map((answer) => answer.status)).toEqual(Array(6).fill(200))
    expect(new Set(answers.map((answer) => answer.body.position)).size).toBe(1)
    expect((await client.read(id)).state.pulls).toHaveLength(1)
    const other = await client.send('POST', '/api/commands', { ...command, data: client.pull(layerId, 2) })
    expect(other).toMatchObject({ status: 409, body: { code: 'reused-id' } })
  })

  it('is not lost on a full disk: nothing is stored, the person is told, and it goes in when there is room', async () => {
    const folder = newFolder()
    const server = await start({ folder })
    const client = await new Client(server.url).setUp()
    const { stream, layerId, id } = await client.edition(400)
    await server.stop()
    const tight = await start({ folder, env: { AMPLE_TALLY_MOST_PAGES: '70' } })
    const there = client.behind(tight.url)
    let refused: Awaited<ReturnType<Client['send']>> | null = null
    let command = there.envelope(stream, 'pull', there.pull(layerId, 1))
    for (let sheet = 1; sheet <= 400 && !refused; sheet++) {
      command = there.envelope(stream, 'pull', there.pull(layerId, sheet))
      const answer = await there.send('POST', '/api/commands', command)
      if (answer.status !== 200) refused = answer
    }
    expect(refused).toMatchObject({ status: 507, body: { code: 'disk-full' } })
    const before = (await there.read(id)).state.pulls.length
    await tight.stop()
    const roomy = await start({ folder })
    const back = client.behind(roomy.url)
    expect((await back.send('POST', '/api/commands', command)).status).toBe(200)
    expect((await back.read(id)).state.pulls).toHaveLength(before + 1)
  })
})

describe('a server that cannot serve says why and leaves', () => {
  it('refuses a data folder in use', async () => {
    const server = await start()
    const second = await Server.spawn({ folder: server.folder })
    expect(await second.exit()).not.toBe(0)
    expect(second.log()).toContain('already running')
  })

  it('refuses a file that is no ledger', async () => {
    const folder = newFolder()
    const { writeFileSync } = await import('node:fs')
    writeFileSync(`${folder}/ledger.sqlite`, 'this is no database at all, only words '.repeat(200))
    const server = await Server.spawn({ folder })
    expect(await server.exit()).not.toBe(0)
    expect(server.log()).toContain('is damaged or is no Ample Tally ledger')
  })

  it('keeps nothing half while another program locks the file, and goes on when it is free', async () => {
    const server = await start()
    const client = await new Client(server.url).setUp()
    const { id, stream, layerId } = await client.edition(2)
    const other = await openConnections(server.folder)
    await other.writer.query('BEGIN EXCLUSIVE')
    const command = client.envelope(stream, 'pull', client.pull(layerId, 1))
    expect(await client.send('POST', '/api/commands', command)).toMatchObject({ status: 503, body: { code: 'busy' } })
    await other.writer.query('ROLLBACK')
    await other.close()
    expect((await client.send('POST', '/api/commands', command)).status).toBe(200)
    expect((await client.read(id)).state.pulls).toHaveLength(1)
  })

  it('leaves with the reason when the port is taken', async () => {
    const server = await start()
    const { spawnSync } = await import('node:child_process')
    const second = spawnSync(process.execPath, ['scripts/start.mjs'], {
      env: { ...process.env, PORT: String(server.port), AMPLE_TALLY_DATA: newFolder() },
      encoding: 'utf8',
    })
    expect(second.status).toBe(1)
    expect(second.stderr).toContain(`Port ${server.port} is in use`)
  })

  it('stops soon on SIGTERM with an open event stream', async () => {
    const server = await start()
    const client = await new Client(server.url).setUp()
    const stream = await fetch(`${server.url}/api/live`, { headers: { cookie: client.cookie } })
    expect(stream.status).toBe(200)
    const began = Date.now()
    await server.stop()
    expect(Date.now() - began).toBeLessThan(4000)
    await stream.body?.cancel().catch(() => undefined)
  })
})
