import canonicalize from 'canonicalize'

/** True when two plain values say the same, in whatever order their keys stand. */
export function sameContent(a: unknown, b: unknown): boolean {
  return canonicalize(a) === canonicalize(b)
}
