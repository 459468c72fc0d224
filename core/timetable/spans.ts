/** A stretch of time, from and to in minutes since any one moment; `to` is beyond it. */
export interface Span {
  from: number
  to: number
}

/** Spans in order, those that touch or overlap made one. */
export function merged(spans: readonly Span[]): Span[] {
  const found: Span[] = []
  for (const { from, to } of [...spans].sort((a, b) => a.from - b.from)) {
    if (to <= from) continue
    const last = found.at(-1)
    if (last && from <= last.to) last.to = Math.max(last.to, to)
    else found.push({ from, to })
  }
  return found
}

/** What of some spans is left when others are taken out of them. */
export function without(spans: readonly Span[], taken: readonly Span[]): Span[] {
  const gone = merged(taken)
  return merged(spans).flatMap((span) => {
    const left: Span[] = []
    let { from } = span
    for (const { from: begun, to } of gone) {
      if (to <= from || begun >= span.to) continue
      if (begun > from) left.push({ from, to: begun })
      from = Math.max(from, to)
    }
    if (from < span.to) left.push({ from, to: span.to })
    return left
  })
}

/**
 * The first moment from which something of so many minutes fits whole into one of the spans, not before `earliest`; null when it
 * fits nowhere. What takes no time fits wherever a span is.
 * @param spans in order, apart
 */
export function firstFit(spans: readonly Span[], minutes: number, earliest: number): number | null {
  for (const { from, to } of spans) {
    const start = Math.max(from, earliest)
    if (start + minutes <= to && start < to) return start
  }
  return null
}

/** The last moment from which it fits and ends by `latest`; null when there is none. */
export function lastFit(spans: readonly Span[], minutes: number, latest: number): number | null {
  for (let i = spans.length - 1; i >= 0; i--) {
    const { from, to } = spans[i]!
    const start = Math.min(to, latest) - minutes
    if (start >= from && start < to) return start
  }
  return null
}
