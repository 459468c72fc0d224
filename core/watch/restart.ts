/** A run that rested so long starts as a new one: ink and hands have changed. Minutes. */
const longPause = 90

/**
 * True when a run is taken up again after a long pause or on another day: the settings come first then, and the first pull
 * is offered as a warm-up.
 * @param lastPull when it was last pulled, or null when nothing was
 */
export function isTakenUpAgain(lastPull: string | null, now: number): boolean {
  if (lastPull === null) return false
  const last = new Date(lastPull)
  return now - last.getTime() > longPause * 60_000 || last.toDateString() !== new Date(now).toDateString()
}
