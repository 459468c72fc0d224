import { Agent, request } from 'node:http'
import { v7 } from 'uuid'
import { laid, plan, torn } from './requests.mjs'

/** One station: its own connection, a session, one pull after another. */
export class Station {
  constructor(url, { cookie, personId, browser } = {}) {
    Object.assign(this, {
      url: new URL(url),
      cookie,
      personId,
      browser,
      tab: v7().slice(-6),
      agent: new Agent({ keepAlive: true, maxSockets: 1 }),
      next: 1,
    })
  }

  post(path, body) {
    const text = JSON.stringify(body)
    return new Promise((resolve, reject) => {
      const sent = request(
        {
          hostname: this.url.hostname,
          port: this.url.port,
          path,
          method: 'POST',
          agent: this.agent,
          headers: {
            'content-type': 'application/json',
            origin: this.url.origin,
            'content-length': Buffer.byteLength(text),
            ...(this.cookie && { cookie: this.cookie }),
          },
        },
        (answer) => {
          let said = ''
          answer.on('data', (chunk) => {
            said += chunk
          })
          answer.on('end', () =>
            resolve({
              status: answer.statusCode,
              body: JSON.parse(said),
              cookie: answer.headers['set-cookie']?.map((set) => set.split(';')[0]).join('; '),
            }),
          )
        },
      )
      sent.on('error', reject)
      sent.end(text)
    })
  }

  /** What one sends, with an id of its own. */
  command(stream, type, data) {
    return {
      commandId: v7(),
      device: `${this.browser}~${this.tab}`,
      by: this.personId,
      occurredAt: new Date().toISOString(),
      type,
      stream,
      data,
    }
  }

  give(stream, type, data) {
    return this.post('/api/commands', this.command(stream, type, data))
  }

  /** A good pull of one sheet. */
  pulling({ stream, layerId, sheet }) {
    return this.command(stream, 'pull', {
      layerId,
      kind: 'pull',
      proofKind: null,
      verdict: 'good',
      sheetIds: [sheet],
      faults: [],
      rescued: null,
      wetOnWet: false,
      setupSeq: 0,
      batchIds: [],
    })
  }

  async edition(sheets) {
    const [id, lotId] = [v7(), v7()]
    await this.give(`lot:${lotId}`, 'add-lot', laid)
    const started = await this.give(`edition:${id}`, 'start-edition', { title: `Bench ${id.slice(-4)}`, plan })
    await this.give(`edition:${id}`, 'tear', torn(lotId, sheets))
    Object.assign(this, { stream: `edition:${id}`, next: 1, sheets })
    const state = await fetch(`${this.url.origin}/api/editions/${id}`, { headers: { cookie: this.cookie } }).then(
      (answer) => answer.json(),
    )
    this.layerId = state.state.layers[0].id
    return started
  }

  /** The next sheet of an edition that other stations may pull from too; a new edition when it is through. */
  async pullFrom(edition, sheets) {
    if (edition.next > sheets) {
      const fresh = (edition.fresh ??= this.edition(sheets))
      await fresh
      if (edition.fresh === fresh)
        Object.assign(edition, { stream: this.stream, layerId: this.layerId, next: 1, fresh: null })
    }
    const { stream, layerId } = edition
    const { status, body } = await this.post('/api/commands', this.pulling({ stream, layerId, sheet: edition.next++ }))
    if (status !== 200 || body.disputed) throw new Error(JSON.stringify(body))
  }
}
