import { randomInt } from 'node:crypto'
import { Attempts } from './attempts'

/** Letters and figures that nobody mistakes for one another. */
const signs = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789'

/**
 * What shows that whoever sets an empty room up can read where the server was started. Another at each start, unless who
 * starts it names one.
 */
export class SetUpToken {
  readonly text =
    process.env.AMPLE_TALLY_SET_UP_TOKEN || Array.from({ length: 10 }, () => signs[randomInt(signs.length)]).join('')
  private readonly attempts = new Attempts()

  /** True when that is it, in letters of either size. Guessing is slowed as with secrets. */
  fits(given: string, address: string): boolean {
    const begun = this.attempts.begin({ personId: 'set-up', address, knownDevice: null })
    if ('wait' in begun) return false
    const fits = given.trim().toUpperCase() === this.text
    begun.end(fits)
    return fits
  }
}
