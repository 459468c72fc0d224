const leaseFor = 6_000
const renewEvery = 2_000

/** What a tab does while it leads; `lead` returns what ends it. */
interface Office {
  lead: () => () => void
}

/** What a tab can do about who leads. */
export interface Leadership {
  /** Lead even though another tab seems to: it has not been heard for long. */
  take: () => void
  /** Give up for good: the tab closes. */
  leave: () => void
}

/**
 * One tab of a browser leads at a time, and when it closes another does. By the browser's own locks where it has them; over
 * plain HTTP it has none, and a lease that is renewed in the browser's storage serves.
 */
export function electLeader(name: string, office: Office): Leadership {
  return typeof navigator !== 'undefined' && navigator.locks ? byLocks(name, office) : byLease(name, office)
}

function byLocks(name: string, { lead }: Office): Leadership {
  let giveUp = () => {}
  let left = false
  const hold = () => {
    if (left) return undefined
    const end = lead()
    return new Promise<void>((resolve) => {
      giveUp = resolve
    }).finally(end)
  }
  const stand = (options: LockOptions): void => {
    // Refused when another tab took it since this one was not heard: it ends what it did and stands in line again.
    void navigator.locks.request(name, options, hold).catch(() => {
      giveUp()
      if (!left) stand({})
    })
  }
  stand({})
  return {
    take: () => stand({ steal: true }),
    leave: () => {
      left = true
      giveUp()
    },
  }
}

function byLease(name: string, { lead }: Office): Leadership {
  const me = Math.random().toString(36).slice(2)
  let end: (() => void) | null = null
  const read = () => JSON.parse(localStorage.getItem(name) ?? 'null') as { who: string; until: number } | null
  const write = () => localStorage.setItem(name, JSON.stringify({ who: me, until: Date.now() + leaseFor }))
  const stop = () => {
    end?.()
    end = null
  }
  const look = () => {
    const lease = read()
    const isFree = !lease || lease.until < Date.now()
    if (lease?.who === me || isFree) write()
    // Of two that take a free lease at once the later writer has it, which both see when they look next.
    if (read()?.who !== me) return stop()
    if (lease?.who === me) end ??= lead()
  }
  look()
  const timer = setInterval(look, renewEvery + Math.random() * 500)
  return {
    take: () => {
      write()
      look()
    },
    leave: () => {
      clearInterval(timer)
      stop()
      if (read()?.who === me) localStorage.removeItem(name)
    },
  }
}
