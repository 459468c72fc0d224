/** The first time for something new soon, then at most once in so long, unless the page is left. */
const firstAfter = 700
const every = 60_000

/**
 * Do something dear seldom: some time after it was asked for, and at once when the page is put away.
 * @returns what asks for it; `about` names what it is about, so that something new is done soon
 */
export function useSeldom(act: () => void): { soon: (about: string) => void } {
  let timer: ReturnType<typeof setTimeout> | undefined
  let done = ''
  const now = () => {
    clearTimeout(timer)
    timer = undefined
    act()
  }
  if (import.meta.client)
    document.addEventListener('visibilitychange', () => {
      if (timer !== undefined && document.visibilityState === 'hidden') now()
    })
  return {
    soon: (about) => {
      if (about !== done) clearTimeout(timer)
      else if (timer !== undefined) return
      timer = setTimeout(now, about === done ? every : firstAfter)
      done = about
    },
  }
}
