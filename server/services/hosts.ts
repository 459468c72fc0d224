import { hostname, networkInterfaces } from 'node:os'

const lookEvery = 60_000

let known: ReadonlySet<string> = new Set()
let lookedAt = -Infinity

/** What this machine is called and reached by, and what whoever runs it adds in AMPLE_TALLY_HOSTS. */
function ownHosts(): ReadonlySet<string> {
  if (performance.now() - lookedAt < lookEvery) return known
  lookedAt = performance.now()
  const name = hostname().toLowerCase()
  const addresses = Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map(({ address }) => address))
  const named = (process.env.AMPLE_TALLY_HOSTS ?? '').toLowerCase().split(/[\s,]+/)
  known = new Set(
    ['localhost', '127.0.0.1', '::1', name, `${name.split('.')[0]}.local`, ...addresses, ...named].filter(Boolean),
  )
  return known
}

/** The name in a Host header, without its port and brackets, or null when it is none. */
export function hostnameOf(host: string | undefined): string | null {
  const found = /^(?:\[([0-9a-f:.%]+)\]|([a-z0-9._-]+))(?::\d{1,5})?$/i.exec(host ?? '')
  return found ? (found[1] ?? found[2]!).toLowerCase() : null
}

/** True for a name or address of ours: another that leads here was set up by someone else to use a browser's cookies. */
export function isOurs(host: string | undefined): boolean {
  const name = hostnameOf(host)
  return name !== null && ownHosts().has(name)
}
