import { randomInt } from 'node:crypto'
import { Attempts } from './attempts'

/** Letters and figures that nobody mistakes for one another. */
const signs = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789'

/**
 * What shows that whoever sets an empty room up can read where the server was started. Another at each start, unless who
 * starts it names one.
 */
export class SetUpToken {
  readonly text: string =
    process.env.AMPLE_TALLY_SET_UP_TOKEN || Array.from({ length: 10 }, () => signs[randomInt(signs.length)]).join('')
  private readonly attempts = new Attempts()

  /**
   * Whether that is it, in letters of either size. Guessing is slowed as with secrets, by address alone: a stranger who
   * guesses does not keep the owner out.
   * @returns seconds to wait when none may be tried now
   */
  try(given: string, address: string): { fits: boolean } | { wait: number } {
    const begun = this.attempts.begin({ personId: 'set-up', address, knownDevice: address })
    if ('wait' in begun) return begun
    const fits = given.trim().toUpperCase() === this.text.toUpperCase()
    begun.end(fits)
    return { fits }
  }
}
