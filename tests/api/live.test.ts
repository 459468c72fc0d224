import { afterAll, beforeAll, expect, it } from 'vitest'
import { Client } from '../fixtures/client'
import { Server } from '../fixtures/server'

let server: Server
let client: Client
beforeAll(async () => {
  server = await Server.start()
  client = await new Client(server.url).setUp()
})
afterAll(() => server.stop())

/** Read a live stream until it has told of so many events. */
async function positions(after: number, count: number, lastEventId?: number): Promise<number[]> {
  const stop = new AbortController()
  const answer = await fetch(`${server.url}/api/live?after=${after}`, {
    headers: { cookie: client.cookie, ...(lastEventId !== undefined && { 'last-event-id': String(lastEventId) }) },
    signal: stop.signal,
  })
  const found: number[] = []
  let text = ''
  for await (const chunk of answer.body!.pipeThrough(new TextDecoderStream()) as unknown as AsyncIterable<string>) {
    text += chunk
    const messages = text.split('\n\n')
    text = messages.pop() ?? ''
    for (const message of messages)
      if (message.includes('event: stored')) found.push(Number(/id: (\d+)/.exec(message)![1]))
    if (found.length >= count) break
  }
  stop.abort()
  return found
}

it('tells every event once, in order, from where a tab left off', async () => {
  const { stream, layerId } = await client.edition(30)
  const listening = positions(0, 30)
  for (let sheet = 1; sheet <= 25; sheet++) await client.give(stream, 'pull', client.pull(layerId, sheet))
  const heard = await listening
  expect(heard).toEqual(heard.map((_, i) => i + 1))
  const after = await positions(0, 10, 15)
  expect(after.slice(0, 3)).toEqual([16, 17, 18])
})
