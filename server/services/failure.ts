import { createError } from 'h3'
import type { Refusal } from '#core/ground/refusal'

const statusOf: Record<string, number> = {
  invalid: 400,
  'not-signed-in': 401,
  'wrong-secret': 401,
  'not-allowed': 403,
  'not-theirs': 403,
  'change-secret': 403,
  'give-secret-again': 403,
  'wrong-token': 403,
  'http-404': 404,
  'unknown-sign-in': 404,
  wait: 429,
  'too-many-streams': 429,
  'too-large': 413,
  'wrong-kind': 415,
  'unknown-edition': 404,
  'unknown-course': 404,
  'unknown-kind': 404,
  'unknown-picture': 404,
  'unknown-person': 404,
  stale: 409,
  'reused-id': 409,
  'disk-full': 507,
  busy: 503,
  storage: 503,
}

/** A refusal as an HTTP failure. */
export function failure(refusal: Refusal): Error {
  return createError({ statusCode: statusOf[refusal.code] ?? 422, statusMessage: refusal.code, data: refusal })
}
