import { createEventStream, type EventStreamMessage, type H3Event } from 'h3'
import { failure } from '../services/failure'
import type { Pressroom } from '../services/pressroom'
import { type Signed, signedIn } from '../services/session'

/** Bytes that may wait for a browser which does not read: beyond, the stream ends, and it may begin again where it was. */
const mostUnread = 512 * 1024

/** How often it is looked whether the person is still signed in; the stream is heard that often at least. */
const beatEvery = 15_000

/** A stream of events to one browser. */
export interface Stream {
  push: (name: string, data: string, id?: string) => void
  isClosed: () => boolean
}

/**
 * Open a stream for whoever is signed in. It ends with the sign-in, with the server, and when the browser leaves; nothing
 * of it stays then.
 * @param begin starts what is streamed, once the browser can hear; returns what ends it, also when that came too late
 * @param beat what to send so that the stream is heard
 */
export async function openStream(
  event: H3Event,
  room: Pressroom,
  { signIn }: Signed,
  begin: (stream: Stream) => Promise<() => void> | (() => void),
  beat: (stream: Stream) => void,
): Promise<void> {
  const leave = room.streams.enter(signIn.id)
  if (!leave)
    throw failure({
      code: 'too-many-streams',
      message: 'This browser has too many pages open at the same time. Close some, then reload this one.',
    })
  const stream = createEventStream(event)
  let closed = false
  // What is told in one go is one piece on the way: a commit holds the taps of a whole room.
  let waiting: EventStreamMessage[] = []
  const write = () => {
    const told = waiting
    waiting = []
    if (told.length > 0) void stream.push(told).catch(() => undefined)
  }
  const open: Stream = {
    push: (name, data, id) => {
      if (event.node.res.writableLength > mostUnread) return void event.node.req.socket.destroy()
      if (waiting.push({ event: name, data, id }) === 1) queueMicrotask(write)
    },
    isClosed: () => closed,
  }
  const end = () => {
    write()
    void stream.close().catch(() => undefined)
  }
  const timer = setInterval(() => {
    void signedIn(event, room).then((signed) => (signed ? beat(open) : end()))
  }, beatEvery)
  const forget = room.streams.onEnd(signIn.id, end)
  let stop = () => {}
  const cleanUp = () => {
    if (closed) return
    closed = true
    clearInterval(timer)
    forget()
    leave()
    stop()
  }
  stream.onClosed(cleanUp)
  // Browsers that leave before anything was sent are not always told of by the stream itself.
  event.node.req.once('close', cleanUp)
  void Promise.resolve(begin(open))
    .then((ending) => {
      if (closed) ending()
      else stop = ending
    })
    .catch(end)
  return await stream.send()
}
