import canonicalize from 'canonicalize'
import type { CommandRequest } from './envelope'

/**
 * What the seal of a tap is made over: its id, who gave it where and when, and all that it says. A seal fits this tap and
 * no other.
 */
export function sealedText(command: Omit<CommandRequest, 'proof'>): string {
  const { commandId, device, by, occurredAt, type, stream, data, expectedSeq } = command
  return canonicalize({ commandId, device, by, occurredAt, type, stream, data, expectedSeq: expectedSeq ?? null })!
}
