/** A run that rested so long starts as a new one: ink and hands have changed. Minutes. */
const longPause = 90

/**
 * True when a run is taken up again after a long pause: the settings come first then, and the first pull is offered as a
 * warm-up. A run that goes on over midnight is one run.
 * @param lastPull when it was last pulled, or null when nothing was
 */
export function isTakenUpAgain(lastPull: string | null, now: number): boolean {
  return lastPull !== null && now - Date.parse(lastPull) > longPause * 60_000
}
