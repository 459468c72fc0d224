/** A command refused: nothing was written, and the message says what to do. */
export interface Refusal {
  code: string
  message: string
  field?: string
}

export interface Refused {
  refusal: Refusal
}

/**
 * Refuse.
 * @param code a short name that never changes, for programs
 * @param message what was given, what is expected and what to do, for people
 * @param field what of the command's data it is about
 */
export function refuse(code: string, message: string, field?: string): Refused {
  return { refusal: field === undefined ? { code, message } : { code, message, field } }
}

/** What cannot stay as it is described, as the models say it: a field and what is expected of it. */
export interface Fault {
  field: string
  message: string
}

/** A model's fault as a refusal. */
export function refuseFault(code: string, { message, field }: Fault): Refused {
  return refuse(code, message, field)
}

/** A field that must say something: why, in words that can be read later. */
export function reasonMissing(message: string): Refused {
  return refuse('reason-missing', message, 'reason')
}
