import type { CommandRequest } from '#shared/commands/envelope'
import type { CommandReply } from '#shared/replies/replies'
import { ApiError } from '~/composables/api'

/** What became of a command, told from tab to tab. */
interface Settled {
  order: number
  command: CommandRequest
  result: { reply: CommandReply } | { error: ApiError }
}

/** What can be copied from tab to tab: an error loses its kind on the way. */
type WireMessage =
  | { what: 'put' }
  | {
      what: 'settled'
      order: number
      command: CommandRequest
      reply?: CommandReply
      error?: [number, ApiError['reply']]
    }

/** Tabs of one browser tell each other what they put by and what became of it. */
export function outboxWire(heard: { put: () => void; settled: (settled: Settled) => void }) {
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ample-tally-outbox')
  if (channel)
    channel.onmessage = ({ data }: MessageEvent<WireMessage>) => {
      if (data.what === 'put') return heard.put()
      const { order, command, reply, error } = data
      if (reply) heard.settled({ order, command, result: { reply } })
      else if (error) heard.settled({ order, command, result: { error: new ApiError(...error) } })
    }
  const tell = (told: WireMessage) => channel?.postMessage(JSON.parse(JSON.stringify(told)))
  return {
    put: () => tell({ what: 'put' }),
    settled: ({ order, command, result }: Settled) =>
      tell(
        'reply' in result
          ? { what: 'settled', order, command, reply: result.reply }
          : { what: 'settled', order, command, error: [result.error.status, result.error.reply] },
      ),
  }
}
